import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Brief, ServedDish } from '@tender-gill/contract'
import { cutThicknessMm } from '@tender-gill/core'
import { useMemo, useState } from 'react'
import { nameQuestion, useAnswer, useOffers, useSheet } from '../../engine/index.ts'
import { BONES_WORDS, describeEntry, DONE_WORDS } from '../../parts/entryWords.ts'
import { HEADING } from '../../theme.ts'
import { NoteStrip } from './NoteStrip.tsx'
import { PhotoField } from './PhotoField.tsx'
import { ALL_WELL, ASKED_TRAITS, isOverweight, isWritten, MORE_TRAITS, type AskedTrait } from './servedDraft.ts'
import { ServedFigures } from './ServedFigures.tsx'
import { TapRow } from './TapRow.tsx'
import { useServedDraft, useWriteServed } from './useServed.ts'

const BONES = Object.entries(BONES_WORDS) as [keyof typeof BONES_WORDS, string][]
const DONE = Object.entries(DONE_WORDS) as [keyof typeof DONE_WORDS, string][]
const AGAIN = [
  [true, 'yes, again'],
  [false, 'no'],
] as const

/** What the cook sheet says of the fish of a dish, where it says anything. */
function useSheetOf(brief: Brief | undefined, fish: ServedDish['fish']) {
  const sheet = useSheet(brief?.date)
  const offer = useOffers(
    useMemo(() => (fish ? [fish.offerId] : []), [fish]),
    brief?.date,
  ).get(fish?.offerId ?? '')
  const thick = brief && offer && cutThicknessMm(brief, offer)
  const request = brief && offer && { ...brief, fish: offer.species, offer: offer.id, ...(thick !== undefined && { thicknessMm: thick }) }
  const answer = useAnswer(sheet, request ? nameQuestion(request) : null, async (desk) => (request ? desk.cook(request) : undefined))?.value
  return { offer, cook: answer?.ok ? { minutes: answer.value.pull.minutes, pullC: Math.round(answer.value.pull.coreC) } : null }
}

interface Props {
  readonly dish: ServedDish
  readonly brief: Brief | undefined
  readonly day: string
}

/** One dish of the day: five questions, none of which must be answered, and what was measured where anybody measured. */
export function ServedCard({ dish, brief, day }: Props) {
  const { draft, open, change, begin, forget } = useServedDraft(dish)
  const write = useWriteServed(day)
  const { offer, cook } = useSheetOf(brief, dish.fish)
  const [more, setMore] = useState(false)
  const keep = (now: typeof draft): void => {
    write(dish, now, cook)
    forget()
  }
  const names = new Map([dish.fish, dish.missing].flatMap((one) => (one ? [[one.species, one.common] as const] : [])))
  const nameOf = (species: string) => names.get(species) ?? species
  const over = isOverweight(draft)
  const strip = (trait: AskedTrait) => (
    <NoteStrip
      key={trait}
      trait={trait}
      book={offer?.traits[trait].learnt?.book ?? offer?.traits[trait]}
      note={draft.notes[trait]}
      onNote={(note) => {
        const { [trait]: _before, ...rest } = draft.notes
        change({ notes: note === undefined ? rest : { ...rest, [trait]: note } })
      }}
    />
  )
  return (
    <Paper component="article" aria-label={dish.dish} sx={{ p: { xs: 1.5, md: 2 }, display: 'grid', gap: 1.25, alignContent: 'start' }}>
      <Box>
        <Typography variant="h2" sx={{ fontSize: 22 }}>
          {dish.dish}
        </Typography>
        <Typography color="text.secondary">
          {dish.fish
            ? `${dish.fish.common}, ${dish.fish.offer}${dish.fish.taken ? '' : ' (nobody took a fish: it led the line-up)'}`
            : 'No fish is taken for it'}
          {dish.missing ? ` instead of ${dish.missing.common}` : ''}; {dish.covers} {dish.covers === 1 ? 'cover' : 'covers'}
        </Typography>
      </Box>
      {!open ? (
        <>
          <Box component="ul" aria-label={`Written of ${dish.dish}`} sx={{ m: 0, pl: 2.5, fontSize: 16 }}>
            {dish.lines.map(({ id, entry }) => (
              <li key={id}>{describeEntry(entry, nameOf)}</li>
            ))}
          </Box>
          <Box>
            <Button variant="outlined" onClick={begin} sx={{ minHeight: 44 }}>
              Correct it
            </Button>
          </Box>
        </>
      ) : (
        <>
          <Button
            variant="contained"
            size="large"
            onClick={() => keep({ ...draft, ...ALL_WELL })}
            sx={{ minHeight: 56, fontFamily: HEADING, fontSize: 18 }}
          >
            All as the book says, and again
          </Button>
          {ASKED_TRAITS.map(strip)}
          <TapRow label="Bones found" options={BONES} value={draft.bones} onChange={(bones) => change({ bones })} />
          <TapRow label="How it was cooked" options={DONE} value={draft.done} onChange={(done) => change({ done })} />
          <TapRow
            label={dish.missing ? `Again in the place of ${dish.missing.common}?` : 'Would you take it again for this?'}
            options={AGAIN}
            value={draft.again}
            onChange={(again) => change({ again })}
          />
          <TextField
            label="A lesson for next time"
            value={draft.words}
            onChange={({ target }) => change({ words: target.value.slice(0, 400) })}
            multiline
            size="small"
          />
          <Box>
            <Button onClick={() => setMore(!more)} aria-expanded={more} sx={{ minHeight: 44 }}>
              {more ? 'Less' : 'Fat, minutes, weights, a photo'}
            </Button>
          </Box>
          {more && <PhotoField dish={dish.dish} photo={draft.photo} onPhoto={(photo) => change({ photo })} />}
          {more && MORE_TRAITS.map(strip)}
          {more && <ServedFigures draft={draft} cook={cook} weighedAs={dish.fish?.weighedAs ?? null} onChange={change} />}
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button variant="contained" disabled={over} onClick={() => keep(draft)} sx={{ minHeight: 48, flex: 1 }}>
              Write it down
            </Button>
            {isWritten(dish) && (
              <Button onClick={forget} sx={{ minHeight: 48 }}>
                Leave it as it was
              </Button>
            )}
          </Box>
        </>
      )}
    </Paper>
  )
}
