import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Form, Range } from '@tender-gill/contract'
import type { ReactNode } from 'react'
import { MeasuredField } from '../../parts/MeasuredField.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { FORM_LABEL, formatTemperature } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import { isOverweight, type ServedDraft } from './servedDraft.ts'

const half = (value: number): string => String(Math.round(value * 2) / 2)
const GRAMS = { least: 1, most: 1_000_000 }

interface Props {
  readonly draft: ServedDraft
  /** What the cook sheet says, where it says anything. */
  readonly cook: { readonly minutes: Range; readonly pullC: number } | null
  /** As what the fish is weighed once it is trimmed; null where it is bought as the cut. */
  readonly weighedAs: Form | null
  readonly onChange: (patch: Partial<ServedDraft>) => void
}

/** A field with what it is held against below it. */
const Against = ({ says, children }: { readonly says: string; readonly children: ReactNode }) => (
  <Box>
    {children}
    <Typography variant="body2" color="text.secondary">
      {says}
    </Typography>
  </Box>
)

/** What was measured, where anybody measured: minutes and warmth against the sheet, weights, what came back. */
export function ServedFigures({ draft, cook, weighedAs, onChange }: Props) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      <Against says={cook ? `the sheet: ${half(cook.minutes.low)} to ${half(cook.minutes.high)}` : 'the sheet tells none'}>
        <NumberField
          label="In the pan, min"
          value={draft.minutes}
          scale={{ least: 0.5, most: 2880 }}
          optional
          onChange={(minutes) => onChange({ minutes })}
        />
      </Against>
      <Against says={cook ? `the sheet: ${formatTemperature(cook.pullC)}` : ''}>
        <MeasuredField
          label="Out at"
          measure="celsius"
          value={draft.pullC}
          scale={{ least: 20, most: 100 }}
          optional
          onChange={(pullC) => onChange({ pullC })}
        />
      </Against>
      {weighedAs && (
        <>
          <MeasuredField
            label="Bought"
            measure="g"
            value={draft.boughtG}
            scale={GRAMS}
            optional
            onChange={(boughtG) => onChange({ boughtG })}
          />
          <Box>
            <Against says={FORM_LABEL[weighedAs]}>
              <MeasuredField
                label="After trimming"
                measure="g"
                value={draft.edibleG}
                scale={GRAMS}
                optional
                onChange={(edibleG) => onChange({ edibleG })}
              />
            </Against>
            {isOverweight(draft) && (
              <Typography variant="body2" role="alert" sx={{ color: INK.dulse, maxWidth: 160 }}>
                More than was bought cannot come out.
              </Typography>
            )}
          </Box>
        </>
      )}
      <NumberField
        label="Portions came back"
        value={draft.portionsBack}
        scale={{ least: 0, most: 5000, whole: true }}
        optional
        onChange={(portionsBack) => onChange({ portionsBack })}
      />
    </Box>
  )
}
