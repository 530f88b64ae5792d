import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import type { CookedStage, CookMedium, CookStage } from '@tender-gill/contract'
import { COOK_MEDIA } from '@tender-gill/contract/vocabulary'
import { COOK_MEDIUM_TABLE } from '@tender-gill/core'
import { MeasuredField } from '../../parts/MeasuredField.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { OneOf } from '../../parts/OneOf.tsx'
import { nameMedium, toAsked } from './cookWords.ts'

interface Props {
  readonly shown: readonly CookedStage[]
  readonly asked: readonly CookStage[] | undefined
  readonly onChange: (stages: readonly CookStage[] | undefined) => void
}
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
const MEDIA = COOK_MEDIA.map((medium): readonly [string, string] => [medium, capital(nameMedium(medium))])
/** In fierce heat until it is coloured, then gently to the end. */
const SEAR_THEN_OVEN: readonly CookStage[] = [
  { medium: 'pan', minutes: 3 },
  { medium: 'hot-pan-in-oven', turned: true },
  { medium: 'rest-board' },
]

/** The stages one under the other, each with its medium, warmth and minutes; what has no minutes is worked out. */
export function StageEditor({ shown, asked, onChange }: Props) {
  const stages = asked ?? toAsked(shown)
  const put = (i: number, patch: Partial<Record<keyof CookStage, unknown>>) =>
    onChange(
      stages.map((stage, at) =>
        at === i
          ? (Object.fromEntries(Object.entries({ ...stage, ...patch }).filter(([, value]) => value !== undefined)) as CookStage)
          : stage,
      ),
    )
  return (
    <Box>
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {stages.map((stage, i) => {
          const { leastC, mostC, usualC } = COOK_MEDIUM_TABLE[stage.medium]
          const rest = stage.medium.startsWith('rest-')
          return (
            <Box component="li" key={i} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, py: 0.75, alignItems: 'flex-start' }}>
              <OneOf
                label={i === 0 ? 'First' : 'Then'}
                value={stage.medium}
                options={MEDIA}
                onChange={(medium) => put(i, { medium: medium as CookMedium, celsius: undefined })}
                sx={{ width: 210 }}
              />
              {!rest && (
                <>
                  <MeasuredField
                    label="At"
                    measure="celsius"
                    value={stage.celsius ?? usualC}
                    scale={{ least: leastC, most: mostC }}
                    width={86}
                    onChange={(celsius) => put(i, { celsius: celsius ?? undefined })}
                  />
                  <NumberField
                    label="Minutes"
                    value={stage.minutes ?? null}
                    scale={{ least: 0, most: 1440 }}
                    optional
                    width={100}
                    onChange={(minutes) => put(i, { minutes: minutes ?? undefined, ...(minutes !== null && { share: undefined }) })}
                  />
                  <FormControlLabel
                    control={
                      <Checkbox
                        size="small"
                        checked={stage.turned ?? false}
                        onChange={(_event, turned) => put(i, { turned: turned || undefined })}
                      />
                    }
                    label="turned first"
                  />
                </>
              )}
              {stages.length > 1 && (
                <Button
                  aria-label={`Leave out: ${nameMedium(stage.medium)}`}
                  onClick={() => onChange(stages.filter((_one, at) => at !== i))}
                >
                  Leave out
                </Button>
              )}
            </Box>
          )
        })}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}>
        <Button
          variant="outlined"
          onClick={() => {
            const resting = stages.at(-1)?.medium.startsWith('rest-') ? stages.slice(-1) : []
            const heated = resting.length > 0 ? stages.slice(0, -1) : stages
            onChange([...heated, { medium: 'oven-fan' }, ...resting])
          }}
        >
          Add a stage
        </Button>
        <Button onClick={() => onChange(SEAR_THEN_OVEN)}>Sear, then the oven</Button>
        {asked && <Button onClick={() => onChange(undefined)}>As this way of cooking usually goes</Button>}
      </Box>
    </Box>
  )
}
