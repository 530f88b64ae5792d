import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { HEADING, INK } from '../../theme.ts'

interface Props<T> {
  readonly label: string
  readonly options: readonly (readonly [value: T, words: string])[]
  readonly value: T | null
  readonly onChange: (value: T | null) => void
}

/** One question with a few answers, each as large as a thumb; a second tap takes the answer back. */
export function TapRow<T extends string | boolean>({ label, options, value, onChange }: Props<T>) {
  return (
    <Box>
      <Box component="h3" sx={{ fontFamily: HEADING, fontSize: 17, m: 0, mb: 0.5 }}>
        {label}
      </Box>
      <Box
        role="group"
        aria-label={label}
        sx={{ display: 'grid', gridTemplateColumns: `repeat(${options.length}, minmax(0, 1fr))`, gap: 0.5 }}
      >
        {options.map(([one, words]) => {
          const on = value === one
          return (
            <ButtonBase
              key={words}
              aria-pressed={on}
              onClick={() => onChange(on ? null : one)}
              sx={{
                ...{
                  minHeight: 48,
                  p: 0.5,
                  borderRadius: 1,
                  fontFamily: 'inherit',
                  fontSize: 15,
                  lineHeight: 1.1,
                  fontWeight: on ? 700 : 400,
                },
                border: `${on ? 2 : 1}px solid ${on ? INK.squid : INK.slate}`,
                bgcolor: on ? INK.brine : INK.ice,
              }}
            >
              {words}
            </ButtonBase>
          )
        })}
      </Box>
    </Box>
  )
}
