import { alpha, createTheme } from '@mui/material/styles'

/** The palette, by what each colour means. Roe marks here, now, selected; it is never text. */
export const INK = {
  slab: '#E4EAEA',
  ice: '#FBFDFD',
  squid: '#15242C',
  slate: '#546870',
  kelp: '#0D5C63',
  brine: '#CFE6E4',
  roe: '#E8593A',
  tide: '#2F6E9E',
  brass: '#8F6310',
  dulse: '#7C2846',
  hairline: '#C3CFD1',
} as const

export const HEADING = '"Bricolage Grotesque Variable", "Bricolage Grotesque", sans-serif'
/** Animations by whose beginning MUI's fields hear that the browser has filled or emptied them. */
const FILLED = 'mui-auto-fill'
const EMPTIED = 'mui-auto-fill-cancel'
const TEXT = '"Atkinson Hyperlegible", sans-serif'

export const theme = createTheme({
  palette: {
    background: { default: INK.slab, paper: INK.ice },
    text: { primary: INK.squid, secondary: INK.slate },
    primary: { main: INK.kelp, contrastText: INK.ice },
    secondary: { main: INK.tide },
    warning: { main: INK.brass },
    error: { main: INK.dulse },
    info: { main: INK.kelp },
    success: { main: INK.kelp },
    divider: INK.hairline,
  },
  // Who asked the system for less motion sees none: a thing is there, or it is gone.
  motion: { reducedMotion: 'system' },
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: TEXT,
    fontSize: 14,
    body1: { fontSize: '0.9375rem', lineHeight: 1.4, '@media (max-width: 600px)': { fontSize: '1rem' } },
    body2: { fontSize: '0.8125rem', lineHeight: 1.35, '@media (max-width: 600px)': { fontSize: '0.9375rem' } },
    h1: { fontFamily: HEADING, fontSize: '1.75rem', fontWeight: 700, lineHeight: 1.15 },
    h2: { fontFamily: HEADING, fontSize: '1.25rem', fontWeight: 700, lineHeight: 1.2 },
    h3: { fontFamily: HEADING, fontSize: '1.05rem', fontWeight: 700, lineHeight: 1.25 },
    button: { textTransform: 'none', fontFamily: HEADING, fontWeight: 650 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontSize: '0.9375rem', fontVariantNumeric: 'tabular-nums', [`@media (max-width: 600px)`]: { fontSize: '1rem' } },
        ':focus-visible': { outline: `3px solid ${INK.tide}`, outlineOffset: 2 },
        a: { color: INK.kelp },
        [`@keyframes ${FILLED}`]: { from: { animationName: FILLED } },
        [`@keyframes ${EMPTIED}`]: { from: { animationName: EMPTIED } },
      },
    },
    // What tells a field that the browser has filled it stands in the sheet of the page, once, and not with every field that comes.
    MuiInputBase: {
      defaultProps: { disableInjectingGlobalStyles: true },
      styleOverrides: {
        input: {
          animationName: EMPTIED,
          animationDuration: '10ms',
          '&:-webkit-autofill': { animationDuration: '5000s', animationName: FILLED },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { minHeight: 36, '@media (max-width: 600px)': { minHeight: 44 } } },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { border: `1px solid ${INK.hairline}` } } },
    MuiAlert: {
      styleOverrides: {
        message: { fontSize: '0.9375rem', '@media (max-width: 600px)': { fontSize: '1rem' } },
        standard: ({ ownerState: { severity } }) => (severity === 'info' ? { backgroundColor: INK.brine, color: INK.squid } : {}),
      },
    },
    MuiSlider: {
      styleOverrides: {
        root: { color: INK.kelp, height: 14, borderRadius: 0, padding: '10px 0' },
        rail: { height: 1, opacity: 1, backgroundColor: INK.slate },
        track: { backgroundColor: INK.brine, border: `1px solid ${INK.kelp}`, borderRadius: 0 },
        thumb: {
          width: 8,
          height: 20,
          borderRadius: 2,
          backgroundColor: INK.kelp,
          '&:before': { boxShadow: 'none' },
          '&:after': { width: 28, height: 32, borderRadius: 2 },
          '&:hover, &.Mui-focusVisible, &.Mui-active': { boxShadow: `0 0 0 5px ${alpha(INK.tide, 0.35)}` },
        },
      },
    },
  },
})
