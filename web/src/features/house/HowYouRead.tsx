import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { formatExactMass, formatLength, formatMoney, formatTemperature, type Reader } from '@tender-gill/words/plain'
import { Fragment } from 'react'
import { changeReader, reader } from '../../reader/index.ts'

interface ChoiceProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly choices: readonly (readonly [value: T, words: string, example: readonly string[]])[]
  readonly onChoose: (value: T) => void
}

function Choice<T extends string>({ label, value, choices, onChoose }: ChoiceProps<T>) {
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      <Typography component="h3" variant="h3">
        {label}
      </Typography>
      <ToggleButtonGroup
        exclusive
        aria-label={label}
        value={value}
        onChange={(_event, chosen: T | null) => chosen !== null && chosen !== value && onChoose(chosen)}
      >
        {choices.map(([key, words, example]) => (
          <ToggleButton key={key} value={key} sx={{ textTransform: 'none', display: 'block', textAlign: 'left', minHeight: 44, px: 2 }}>
            <Box component="span" sx={{ display: 'block', fontWeight: 700 }}>
              {words}
            </Box>
            <Box component="span" sx={{ display: 'block', fontVariantNumeric: 'tabular-nums' }}>
              {example.map((figure, i) => (
                <Fragment key={figure}>
                  {i > 0 && ', '}
                  <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
                    {figure}
                  </Box>
                </Fragment>
              ))}
            </Box>
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  )
}

const measures = (units: Reader['units']): readonly string[] => [
  formatExactMass(1250, { units }),
  formatLength(25, { units }),
  formatTemperature(63, { units }),
]

/** How the person at this browser reads figures: theirs alone, not the house's. What is typed into a field stays in the unit it names. */
export function HowYouRead({ currency }: { readonly currency: string }) {
  return (
    <Box component="section" aria-labelledby="how-you-read">
      <Typography id="how-you-read" variant="h2" sx={{ mt: 3 }}>
        How you read figures
      </Typography>
      <Typography variant="body2" color="text.secondary" gutterBottom sx={{ maxWidth: 760 }}>
        Yours alone, kept by this browser. It changes no answer, only how weights, lengths, temperatures and money are written; a field is
        typed in the unit it names, and files stay metric.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
        <Choice
          label="Measures"
          value={reader.units}
          choices={[
            ['metric', 'Metric', measures('metric')],
            ['us', 'US', measures('us')],
          ]}
          onChoose={(units) => changeReader({ units })}
        />
        <Choice
          label="Money"
          value={reader.money}
          choices={[
            ['symbol', 'With its sign', [formatMoney(3.45, currency, { money: 'symbol' })]],
            ['code', 'With its code', [formatMoney(3.45, currency, { money: 'code' })]],
          ]}
          onChoose={(money) => changeReader({ money })}
        />
      </Box>
    </Box>
  )
}
