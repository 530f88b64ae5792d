import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { ColdPlaceRecord, Kitchen, Lot } from '@tender-gill/contract'
import type { LotInHouse } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import { useState } from 'react'
import { IceClock } from '../../drawings/IceClock.tsx'
import { FORM_LABEL, formatMassToBuy, formatTemperature } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { sayAdvice, sayMoment } from './coldWords.ts'
import { FreezingTask, FREEZINGS } from './FreezingTask.tsx'
import { describeJourney, JourneyIce } from './JourneyIce.tsx'
import type { StandingLot } from './layLots.ts'
import { MoveToDish } from './MoveToDish.tsx'
import { useLotNotes } from './useLotNotes.ts'

const TONE = {
  throw: INK.dulse,
  'use-now': INK.dulse,
  freeze: INK.brass,
  'use-first': INK.brass,
  fine: INK.kelp,
  frozen: INK.tide,
} as const

const now = (): string => new Date().toISOString()

interface Props {
  readonly judged: Told<LotInHouse>
  readonly standing: StandingLot
  readonly places: readonly ColdPlaceRecord[]
  readonly kitchen: Kitchen
  readonly nowMs: number
}

/** A lot with its clock, and what one can do to it. */
export function LotCard({ judged, standing, places, kitchen, nowMs }: Props) {
  const note = useLotNotes()
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [moving, setMoving] = useState(false)
  const [carrying, setCarrying] = useState(false)
  const { lot } = standing
  const { common, advice, sentence, history, lastsMs, renewIceMs, aheadC, cold, servings } = judged
  const where = places.find(({ id }) => id === lot.stays.at(-1)?.place)
  const iced = lot.stays.at(-1)?.iced === true && (renewIceMs ?? 0) > nowMs
  const stay = (change: Partial<Lot['stays'][number]>, words: string) =>
    note(
      standing,
      { stays: [...lot.stays, { from: now(), place: where?.id ?? null, celsius: null, iced: false, ...change }] },
      { done: `${common}: ${words}.`, undone: `${common}: as it was before.` },
    )
  const end = (state: Lot['state'], words: string) =>
    note(standing, { state }, { done: `${common} is ${words}.`, undone: `${common} is in the house again.` })
  const until = lastsMs ? sayMoment(lastsMs.typical, kitchen) : null
  const clock = lastsMs
    ? `Bought ${sayMoment(Date.parse(lot.boughtAt), kitchen)}; lasts until ${until}, from ${sayMoment(lastsMs.low, kitchen)} to ${sayMoment(lastsMs.high, kitchen)}`
    : 'Its clock stands while it is frozen'
  return (
    <Paper component="article" aria-label={common} sx={{ borderLeft: `8px solid ${TONE[advice]}`, p: { xs: 1.5, md: 2 } }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, alignItems: 'baseline' }}>
        <Typography variant="h2" sx={{ flex: '1 1 200px' }}>
          {common}, {formatMassToBuy(lot.g)} {FORM_LABEL[lot.form]}
        </Typography>
        <Box component="strong" sx={{ fontFamily: HEADING, fontSize: 22 }}>
          {sayAdvice(advice, until)}
        </Box>
      </Box>
      <Typography role="status" aria-label={`How ${common} stands`}>
        {sentence}
      </Typography>
      {cold.cautions
        .filter(({ kind }) => kind === 'histamine')
        .map((caution) => (
          <Typography key={caution.sentence} sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1, my: 0.5 }}>
            {caution.sentence}
          </Typography>
        ))}
      <IceClock
        history={history}
        nowMs={nowMs}
        lastsMs={lastsMs}
        eatenMs={servings.flatMap(({ eatenMs }) => (eatenMs === null || eatenMs < nowMs ? [] : [eatenMs]))}
        words={clock}
      />
      <Typography variant="body2" color="text.secondary">
        {clock}. {where ? where.place.name : 'Nobody said where it lies'}
        {iced ? ', in ice' : aheadC === null ? '' : `, ${formatTemperature(aheadC)}`}
        {servings.length > 0 ? `. For ${servings.map(({ dish }) => dish).join(' and ')}.` : '. For no dish yet.'}
        {renewIceMs !== null && advice !== 'throw' && (
          <b>
            {' '}
            {renewIceMs <= nowMs ? 'Its ice wanted to be drained and renewed at' : 'Drain and renew its ice at'}{' '}
            {sayMoment(renewIceMs, kitchen)}.
          </b>
        )}
      </Typography>
      {lot.journey && (
        <Typography variant="body2" color="text.secondary">
          {describeJourney(lot.journey)}
        </Typography>
      )}
      <FreezingTask standing={standing} common={common} kitchen={kitchen} nowMs={nowMs} onNote={note} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 1, '& button': { minHeight: 44 } }}>
        {advice !== 'frozen' && advice !== 'throw' && (
          <Button
            variant={renewIceMs !== null && renewIceMs <= nowMs ? 'contained' : 'outlined'}
            onClick={() => stay({ iced: true }, 'in fresh ice')}
          >
            {renewIceMs === null ? 'Put in ice' : 'Ice renewed'}
          </Button>
        )}
        <Button variant="outlined" aria-haspopup="menu" onClick={({ currentTarget }) => setAnchor(currentTarget)}>
          Moved
        </Button>
        <Button variant="outlined" onClick={() => setMoving(!moving)} aria-expanded={moving}>
          For another dish
        </Button>
        <Button variant="outlined" onClick={() => setCarrying(!carrying)} aria-expanded={carrying}>
          How it was carried
        </Button>
        <Button variant="outlined" onClick={() => end('used', 'used')}>
          Used
        </Button>
        <Button color="error" variant={advice === 'throw' ? 'contained' : 'text'} onClick={() => end('thrown', 'thrown away')}>
          Thrown away
        </Button>
      </Box>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {places.map(({ id, place }) => (
          <MenuItem
            key={id}
            onClick={() => {
              setAnchor(null)
              stay({ place: id }, `in ${place.name.toLowerCase()} from now on`)
            }}
          >
            {place.name}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setAnchor(null)
            stay({ place: null }, 'out, and nobody knows how warm')
          }}
        >
          Out, nobody knows how warm
        </MenuItem>
        {lot.freezing === null &&
          FREEZINGS.map(({ celsius, hours, label }) => (
            <MenuItem
              key={celsius}
              onClick={() => {
                setAnchor(null)
                const freezer = places.find(({ place }) => place.kind === 'freezer')
                note(
                  standing,
                  {
                    freezing: { celsius, hours, since: now(), done: null },
                    stays: [...lot.stays, { from: now(), place: freezer?.id ?? null, celsius: freezer ? null : celsius, iced: false }],
                  },
                  { done: `${common} is being frozen to be eaten raw.`, undone: `${common}: as it was before.` },
                )
              }}
            >
              Freeze to be eaten raw: {label}
            </MenuItem>
          ))}
      </Menu>
      {carrying && (
        <JourneyIce
          g={lot.g}
          journey={lot.journey}
          onKeep={(journey) => {
            note(standing, { journey }, { done: `${common}: how it was carried is kept.`, undone: `${common}: as it was before.` })
            setCarrying(false)
          }}
        />
      )}
      {moving && <MoveToDish standing={standing} common={common} kitchen={kitchen} onNote={note} onDone={() => setMoving(false)} />}
    </Paper>
  )
}
