import GlobalStyles from '@mui/material/GlobalStyles'

const STYLES = { '@page': { margin: '10mm' }, '@media print': { body: { background: 'none', zoom: 0.66 } } }

/** A sheet that hangs above the stove: printed on one page, black on white. */
export const OnePage = () => <GlobalStyles styles={STYLES} />
