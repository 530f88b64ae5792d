import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Chip from '@mui/material/Chip'
import Typography from '@mui/material/Typography'
import type { Circumstance, Freshness } from '@tender-gill/contract'
import { SignDrawing } from '../../drawings/SignDrawing.tsx'
import { terms } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'

export type Row = Freshness['table'][number]

interface Props {
  readonly row: Row
  readonly seen: number | undefined
  readonly circumstances: readonly Circumstance[]
  readonly onSee: (level: number) => void
  readonly onCircumstances: (now: readonly Circumstance[]) => void
}

/** One sign in four drawings, each as large as a thumb; below, what would make it lie. */
export function SignChoice({ row, seen, circumstances, onSee, onCircumstances }: Props) {
  const { sign, levels, trust, falseAlarms } = row
  return (
    <section aria-labelledby="sign">
      <Typography id="sign" variant="h1" sx={{ mb: 1 }}>
        {terms.sign[sign]}
      </Typography>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(4, 1fr)' }, gap: 1.25 }}
        role="group"
        aria-labelledby="sign"
      >
        {levels.map((words, level) => (
          <ButtonBase
            key={words}
            aria-pressed={seen === level}
            onClick={() => onSee(level)}
            sx={{
              flexDirection: 'column',
              border: `2px solid ${INK.squid}`,
              borderRadius: 1,
              bgcolor: seen === level ? INK.brine : INK.ice,
              p: 1,
              minHeight: 120,
              fontFamily: HEADING,
              fontWeight: 700,
              fontSize: 15,
              lineHeight: 1.2,
            }}
          >
            <Box sx={{ width: '100%', maxWidth: 150 }}>
              <SignDrawing sign={sign} level={level} />
            </Box>
            {words}
          </ButtonBase>
        ))}
      </Box>
      {falseAlarms.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.25 }} role="group" aria-label="What would make it lie">
          {falseAlarms.map((one) => (
            <Chip
              key={one}
              label={terms.circumstance[one]}
              variant="outlined"
              color={circumstances.includes(one) ? 'primary' : 'default'}
              aria-pressed={circumstances.includes(one)}
              onClick={() =>
                onCircumstances(circumstances.includes(one) ? circumstances.filter((c) => c !== one) : [...circumstances, one])
              }
              sx={{ height: 44, borderRadius: 1, fontSize: 15, bgcolor: circumstances.includes(one) ? INK.brine : INK.ice }}
            />
          ))}
        </Box>
      )}
      {trust === 0 && (
        <Typography color="text.secondary" sx={{ mt: 0.5 }}>
          Then it says nothing of the age. {row.vetoFrom === null ? '' : 'The worst of the four counts all the same.'}
        </Typography>
      )}
    </section>
  )
}
