import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { ResolvedOffer } from '@tender-gill/contract'
import { DayField } from '../../parts/moments.tsx'
import { REASONS, type TypedAbsence } from './absenceParams.ts'

const ALL = ''

interface Props {
  readonly absence: TypedAbsence
  readonly offers: readonly ResolvedOffer[]
  readonly onSet: (name: 'offer' | 'because' | 'from' | 'to', value: string | null) => void
}

/** Which fish exactly, why, and for how long. */
export function MarkForm({ absence, offers, onSet }: Props) {
  const upsideDown = absence.to < absence.from
  const field = { size: 'small', slotProps: { inputLabel: { shrink: true } } } as const
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'repeat(2, minmax(0, 1fr))', sm: '150px 190px 165px 165px' },
        columnGap: { xs: 1, sm: 2 },
        rowGap: 1.5,
        my: 1.5,
      }}
    >
      <TextField
        {...field}
        select
        label="Why"
        value={absence.because ?? ALL}
        onChange={({ target }) => onSet('because', target.value || null)}
        slotProps={{ ...field.slotProps, select: { displayEmpty: true } }}
      >
        <MenuItem value={ALL}>not said</MenuItem>
        {REASONS.map(([reason, label]) => (
          <MenuItem key={reason} value={reason}>
            {label}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        {...field}
        select
        label="Which of it"
        value={offers.some(({ id }) => id === absence.offerId) ? (absence.offerId ?? ALL) : ALL}
        onChange={({ target }) => onSet('offer', target.value || null)}
        slotProps={{ ...field.slotProps, select: { displayEmpty: true } }}
      >
        <MenuItem value={ALL}>all of it</MenuItem>
        {offers.map(({ id, label }) => (
          <MenuItem key={id} value={id}>
            only {label}
          </MenuItem>
        ))}
      </TextField>
      <DayField required label="First day" value={absence.from} width="100%" onChange={(day) => onSet('from', day || null)} />
      <DayField
        required
        label="Last day"
        value={absence.to}
        width="100%"
        problem={upsideDown ? 'before the first day' : undefined}
        onChange={(day) => onSet('to', day || null)}
      />
    </Box>
  )
}
