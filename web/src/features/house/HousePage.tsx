import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { HouseLeanings, TextureKey } from '@tender-gill/contract'
import { TEXTURE_KEYS } from '@tender-gill/contract/vocabulary'
import { ASK_LABEL, formatTemperature } from '../../reader/index.ts'
import { useKitchenQuery } from '../../api/api.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { INK } from '../../theme.ts'
import { PullDots } from '../lineUp/index.ts'
import { setAskLeaning, setLeaning } from './houseForm.ts'
import { USUAL_SHORT_CHANCE } from '@tender-gill/core'
import { ofHundred } from '../../parts/dishWords.ts'
import { AmountLeaning } from './AmountLeaning.tsx'
import { useLeanings, type Change } from './useLeanings.ts'
import { Phones } from '../phones/index.ts'
import { DraftNotice, KeptLine } from '../../documents/index.ts'
import { HowYouRead } from './HowYouRead.tsx'

interface SchoolProps {
  readonly label: string
  readonly hint: string
  readonly value: string
  readonly options: readonly (readonly [value: string, text: string])[]
  readonly onSet: (value: string) => void
}

/** One question on which good cooks disagree. */
const School = ({ label, hint, value, options, onSet }: SchoolProps) => (
  <TextField
    select
    label={label}
    value={value}
    helperText={hint}
    onChange={(event) => onSet(event.target.value)}
    sx={{ width: { xs: '100%', sm: 340 } }}
  >
    {options.map(([option, text]) => (
      <MenuItem key={option} value={option}>
        {text}
      </MenuItem>
    ))}
  </TextField>
)

function AskRow({
  trait,
  pull,
  onSet,
}: {
  readonly trait: TextureKey
  readonly pull: number | undefined
  readonly onSet: (pull: number | null) => void
}) {
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr auto', sm: '200px 130px 1fr' },
        columnGap: 2,
        alignItems: 'center',
        borderTop: `1px solid ${INK.hairline}`,
        minHeight: 44,
      }}
    >
      <Typography sx={{ fontWeight: pull === undefined ? 400 : 700 }}>{ASK_LABEL[trait]}</Typography>
      <PullDots name={ASK_LABEL[trait]} pull={pull ?? 0} onChange={onSet} />
      {pull === undefined ? (
        <Typography variant="body2" color="text.secondary">
          as each method has it
        </Typography>
      ) : (
        <Button
          size="small"
          sx={{ justifySelf: 'start' }}
          onClick={() => onSet(null)}
          aria-label={`${ASK_LABEL[trait]} as each method has it`}
        >
          matters {pull} of 5 here; as each method has it
        </Button>
      )}
    </Box>
  )
}

interface SectionProps {
  readonly leanings: HouseLeanings
  readonly onKeep: (change: Change) => void
}
const SECTION = { display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 2, mt: 2 } as const

function Schools({ leanings, onKeep }: SectionProps) {
  return (
    <Box sx={SECTION}>
      <School
        label="How far it is cooked"
        hint="Moist never holds for children, pregnant, elderly or immunocompromised diners."
        value={leanings.doneness ?? 'set'}
        options={[
          ['set', `set: ${formatTemperature(63)} in the middle, the guideline`],
          ['moist', 'moist: taken out sooner, with a caution'],
        ]}
        onSet={(value) => onKeep((now) => setLeaning(now, 'doneness', value === 'moist' ? 'moist' : undefined))}
      />
      <School
        label="Wild or farmed"
        hint="Where a fish is to be had both ways, this one stands for it. It shuts out neither."
        value={leanings.origin ?? 'any'}
        options={[
          ['any', 'whichever fits the dish better'],
          ['wild', 'wild first'],
          ['farmed', 'farmed first'],
        ]}
        onSet={(value) => onKeep((now) => setLeaning(now, 'origin', value === 'wild' || value === 'farmed' ? value : undefined))}
      />
      <School
        label="Whole or cut"
        hint="Whole keeps better and gives bones for broth; cut saves labour."
        value={leanings.bought ?? 'any'}
        options={[
          ['any', 'whichever comes cheaper'],
          ['whole', 'whole, and cut here'],
          ['cut', 'cut by the merchant'],
        ]}
        onSet={(value) => onKeep((now) => setLeaning(now, 'bought', value === 'whole' || value === 'cut' ? value : undefined))}
      />
    </Box>
  )
}

/** Chances of falling short that a house may take when it buys; the usual one need not be said. */
const SHORT_CHANCES = [0.01, 0.05, 0.1, 0.25, 0.5]

function Money({ leanings, onKeep, currency }: SectionProps & { readonly currency: string }) {
  const { usualPortionCost, trim, labour } = leanings
  return (
    <Box sx={SECTION}>
      <AmountLeaning
        label="What a portion of fish usually costs"
        hint="Wanted of every dish that sets no budget. Empty: not asked."
        amount={usualPortionCost?.perPortion}
        unit={usualPortionCost?.currency ?? currency}
        onSet={(perPortion) =>
          onKeep((now) => setLeaning(now, 'usualPortionCost', perPortion === undefined ? undefined : { perPortion, currency }))
        }
      />
      <AmountLeaning
        label="A kilo of heads, frames and trim is worth"
        hint="Taken off what a portion costs. Empty: the best is used and the rest is left."
        amount={trim?.perKg}
        unit={trim?.currency ?? currency}
        onSet={(perKg) => onKeep((now) => setLeaning(now, 'trim', perKg === undefined ? undefined : { perKg, currency }))}
      />
      <AmountLeaning
        label="An hour of work at the board costs"
        hint="Counted where ways to buy a fish stand side by side. Empty: not counted."
        amount={labour?.perHour}
        unit={labour?.currency ?? currency}
        onSet={(perHour) => onKeep((now) => setLeaning(now, 'labour', perHour === undefined ? undefined : { perHour, currency }))}
      />
      <AmountLeaning
        label="Fish may take of the menu price"
        hint="What the house aims at. A dish says under Brief what it is on the menu for. Empty: not held against anything."
        amount={leanings.foodCostShare === undefined ? undefined : leanings.foodCostShare * 100}
        unit="of 100"
        digits={0}
        most={100}
        onSet={(share) => onKeep((now) => setLeaning(now, 'foodCostShare', share === undefined ? undefined : share / 100))}
      />
      <School
        label="What is bought may fall short"
        hint="The less often, the more is bought. A dish may say otherwise under Amounts."
        value={String(leanings.shortChance ?? USUAL_SHORT_CHANCE)}
        options={[...new Set([...SHORT_CHANCES, leanings.shortChance ?? USUAL_SHORT_CHANCE])].map((chance) => [
          String(chance),
          `in ${ofHundred(chance)} of 100`,
        ])}
        onSet={(chance) =>
          onKeep((now) => setLeaning(now, 'shortChance', Number(chance) === USUAL_SHORT_CHANCE ? undefined : Number(chance)))
        }
      />
    </Box>
  )
}

/** What the house wishes of the stocks it buys from, and below what it buys nothing. */
function StockLeanings({ leanings, onKeep }: SectionProps) {
  const stock = leanings.stock ?? {}
  const set = (key: 'wish' | 'floor', value: number | undefined) =>
    onKeep((now) => {
      const { [key]: _before, ...rest } = now.stock ?? {}
      const next = value === undefined ? rest : { ...rest, [key]: value }
      return setLeaning(now, 'stock', Object.keys(next).length > 0 ? next : undefined)
    })
  return (
    <Box sx={SECTION}>
      <AmountLeaning
        label="A stock is wished to stand at"
        hint="Wanted of every dish; a fish of which no evidence is kept counts as middling. Empty: 60."
        amount={stock.wish}
        unit="of 100"
        digits={0}
        most={100}
        onSet={(wish) => set('wish', wish)}
      />
      <AmountLeaning
        label="Nothing is bought below"
        hint="Left out of every dish. A stock of which nothing is kept is not touched by it. Empty: no floor."
        amount={stock.floor}
        unit="of 100"
        digits={0}
        most={100}
        onSet={(floor) => set('floor', floor)}
      />
    </Box>
  )
}

/** How the house leans: where good cooks disagree, what it is used to pay, and what matters more or less here than elsewhere. */
export default function HousePage() {
  const { leanings, draft, onKeep } = useLeanings()
  const { data: kitchen } = useKitchenQuery()
  if (!leanings || !kitchen) return <Waiting what="the house" />
  return (
    <Paper component="section" aria-label="How the house leans" sx={{ p: { xs: 2, md: 3 }, mt: 1, maxWidth: 1120 }}>
      <Typography variant="h1" gutterBottom>
        How the house leans
      </Typography>
      <Typography gutterBottom sx={{ maxWidth: 760 }}>
        Good cooks disagree. What is set here holds for every dish, and a dish may still say otherwise. A line-up says when a leaning
        changed its order.
      </Typography>
      <DraftNotice draft={draft} describe={({ leanings: now }) => `${Object.keys(now).length} leanings`} />
      <KeptLine draft={draft} atRest="" />
      <Schools leanings={leanings} onKeep={onKeep} />
      <Typography variant="h2" sx={{ mt: 3 }}>
        What it costs
      </Typography>
      <Money leanings={leanings} onKeep={onKeep} currency={kitchen.currency} />
      <Typography variant="h2" sx={{ mt: 3 }}>
        Stocks
      </Typography>
      <StockLeanings leanings={leanings} onKeep={onKeep} />
      <Typography variant="h2" sx={{ mt: 3 }} gutterBottom>
        What matters here
      </Typography>
      <Box component="ul" aria-label="What matters here" sx={{ listStyle: 'none', p: 0, m: 0, maxWidth: 760 }}>
        {TEXTURE_KEYS.map((trait) => (
          <AskRow
            key={trait}
            trait={trait}
            pull={leanings.asks?.[trait]?.pull}
            onSet={(pull) => onKeep((now) => setAskLeaning(now, trait, pull))}
          />
        ))}
      </Box>
      <HowYouRead currency={kitchen.currency} />
      <Box sx={{ mt: 3, maxWidth: 760 }}>
        <Phones />
      </Box>
    </Paper>
  )
}
