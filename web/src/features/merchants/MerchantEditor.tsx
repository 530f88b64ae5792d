import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { FeedState, Kitchen, Merchant, MerchantRecord } from '@tender-gill/contract'
import { DraftNotice, KeptLine, useDocument } from '../../documents/index.ts'
import { HourField } from '../../parts/moments.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { WEEKDAYS } from '../../parts/orderWords.ts'

const DAYS_AHEAD = { least: 0, most: 14, whole: true }
const LEAST_ORDER = { least: 0, most: 100_000 }

interface Props {
  readonly record: MerchantRecord
  readonly kitchen: Kitchen
  readonly feeds: readonly FeedState[]
}

/** When a merchant delivers, until when to order, how little it sends: kept a moment after the last change. */
export function MerchantEditor({ record, kitchen, feeds }: Props) {
  const { input, draft, change: changeInput } = useDocument('merchant', record.id, record)
  const value = input?.merchant ?? record.merchant
  const change = (merchant: Merchant) => changeInput(() => ({ merchant }))
  const keys = [...new Set([...feeds.map(({ key }) => key), ...(value.feed === null ? [] : [value.feed])])]
  const toggle = (day: number) =>
    change({
      ...value,
      delivers: value.delivers.includes(day) ? value.delivers.filter((one) => one !== day) : [...value.delivers, day].sort(),
    })
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <TextField
        label="Name"
        size="small"
        value={value.name}
        onChange={({ target }) => target.value !== '' && change({ ...value, name: target.value })}
      />
      <Box role="group" aria-label="Delivers on" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center' }}>
        <Typography sx={{ mr: 1 }}>Delivers on</Typography>
        {WEEKDAYS.map((name, i) => (
          <Button
            key={name}
            size="small"
            variant={value.delivers.includes(i + 1) ? 'contained' : 'outlined'}
            aria-pressed={value.delivers.includes(i + 1)}
            aria-label={name}
            onClick={() => toggle(i + 1)}
            sx={{ minWidth: 44 }}
          >
            {name.slice(0, 2)}
          </Button>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <HourField label="Order by" value={value.orderBy} onChange={(orderBy) => orderBy !== '' && change({ ...value, orderBy })} />
        <NumberField
          label="Days before"
          width={120}
          value={value.daysAhead}
          scale={DAYS_AHEAD}
          onChange={(daysAhead) => daysAhead !== null && change({ ...value, daysAhead })}
        />
        <NumberField
          optional
          label={`Least order, ${kitchen.currency}`}
          value={value.minimumOrder?.amount ?? null}
          scale={LEAST_ORDER}
          onChange={(amount) => change({ ...value, minimumOrder: amount === null ? null : { amount, currency: kitchen.currency } })}
        />
        {keys.length > 0 && (
          <TextField
            select
            label="Sends its lists"
            size="small"
            sx={{ minWidth: 170 }}
            value={value.feed ?? ''}
            onChange={({ target }) => change({ ...value, feed: target.value === '' ? null : target.value })}
          >
            <MenuItem value="">by hand or as a file</MenuItem>
            {keys.map((key) => (
              <MenuItem key={key} value={key}>
                by the feed {key}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
      <KeptLine draft={draft} />
      <DraftNotice
        draft={draft}
        describe={({ merchant: { name, orderBy, delivers } }) => `${name}, ${delivers.length} days a week, by ${orderBy}`}
      />
    </Box>
  )
}
