import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { BandKey, BasedRange, Problem, ResolvedOffer, SourceSpecies, Triple } from '@tender-gill/contract'
import { ASK_LABEL, describeValue } from '../../reader/index.ts'
import { useEffect, useState } from 'react'
import { TraitStrip } from '../../drawings/TraitStrip.tsx'
import { useKitchenId } from '../../kitchen/index.ts'
import { readStored } from '../../state/readStored.ts'
import { INK } from '../../theme.ts'
import { typedNumber } from '../../typed/index.ts'
import { HAND_KEYS, pointerOf, revertTrait, setTrait, type HandKey } from './houseEdits.ts'
import type { HouseHand } from './useHouseHand.ts'

const BASIS_WORDS = { compiled: 'compiled', measured: 'measured', house: 'the house’s' } as const
const UNIT: Partial<Record<HandKey, string>> = { fat: 'g in 100 g', weight: 'g', thickness: 'mm' }

const Figure = styled('input')({
  width: 62,
  font: 'inherit',
  textAlign: 'center',
  minHeight: 32,
  border: `1px solid ${INK.slate}`,
  borderRadius: 4,
  background: INK.ice,
  color: INK.squid,
  '&[aria-invalid=true]': { border: `2px solid ${INK.dulse}` },
  '@media (max-width: 900px)': { minHeight: 44 },
})

/** The value an offer shows for a key, and what it rests on. */
export function readOffer({ traits, bones, weightG, depthMm }: ResolvedOffer, key: HandKey): BasedRange {
  if (key === 'weight') return weightG
  if (key === 'thickness') return depthMm
  if (key === 'bones') return bones['fillet-pinned'] ?? bones.fillet ?? bones.whole ?? { low: 0, typical: 0, high: 0, basis: 'compiled' }
  return traits[key]
}

type Draft = Partial<Record<HandKey, readonly [string, string, string]>>

const ENDS = ['low', 'usual', 'high'] as const
/** The range that was typed; undefined unless it is three numbers. */
function toTriple(texts: readonly [string, string, string]): Triple | undefined {
  const triple = texts.map((text) => typedNumber(text))
  return triple.includes(undefined) ? undefined : (triple as unknown as Triple)
}

/** What is typed is kept in the browser until it is kept in the house, so that a reload loses nothing. */
function useDraft(place: string): [Draft, (draft: Draft) => void] {
  const [draft, setDraft] = useState<Draft>(() => readStored(localStorage, place))
  useEffect(() => {
    if (Object.keys(draft).length > 0) localStorage.setItem(place, JSON.stringify(draft))
    else localStorage.removeItem(place)
  }, [place, draft])
  return [draft, setDraft]
}

function Editor({
  trait,
  texts,
  problem,
  onChange,
}: {
  readonly trait: HandKey
  readonly texts: readonly [string, string, string]
  readonly problem: string | undefined
  readonly onChange: (texts: readonly [string, string, string]) => void
}) {
  return (
    <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center', flexWrap: 'wrap' }}>
      {ENDS.map((end, i) => (
        <Figure
          key={end}
          inputMode="decimal"
          aria-label={`${ASK_LABEL[trait]} ${end}`}
          aria-invalid={problem !== undefined}
          value={texts[i]}
          onChange={(event) =>
            onChange(texts.map((text, at) => (at === i ? event.target.value : text)) as unknown as [string, string, string])
          }
        />
      ))}
      <Typography variant="body2" color="text.secondary">
        {UNIT[trait] ?? 'of 10'}
      </Typography>
      {problem && (
        <Typography variant="body2" sx={{ color: 'error.main', fontWeight: 700, flexBasis: '100%' }}>
          {problem}
        </Typography>
      )}
    </Box>
  )
}

interface Props {
  readonly offer: ResolvedOffer
  readonly hand: HouseHand
  readonly editing: boolean
  readonly onDone: () => void
}

/** The problem a kept value met, whether of the whole range or of one of its ends. */
const problemAt = (problems: readonly Problem[], source: SourceSpecies, offer: ResolvedOffer, key: HandKey) =>
  problems.find(({ path }) => path.startsWith(`/source${pointerOf(source, offer, key)}`))

/** Every trait of one offer on its axis, with its range and what that rests on; in the house's hand each can be typed over and put back. */
export function TraitTable({ offer, hand, editing, onDone }: Props) {
  const kitchen = useKitchenId()
  const [draft, setDraft] = useDraft(`tender-gill-hand|${kitchen}|${offer.species}|${offer.origin}.${offer.part}`)
  const typed = (Object.entries(draft) as [HandKey, readonly [string, string, string]][]).map(
    ([key, texts]) => [key, toTriple(texts)] as const,
  )
  const unread = new Set(typed.flatMap(([key, triple]) => (triple ? [] : [key])))
  const { source, shipped, problems } = hand
  const keep = async () => {
    if (!source) return
    const edited = typed.reduce((before, [key, triple]) => (triple ? setTrait(before, offer, key, triple) : before), source)
    if (await hand.keep(edited)) {
      setDraft({})
      onDone()
    }
  }
  const revert = (key: HandKey) => {
    if (source && shipped) void hand.keep(revertTrait(source, shipped, offer, key))
  }
  return (
    <>
      <Box component="ul" aria-label="Traits" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {HAND_KEYS.map((key) => {
          const value = readOffer(offer, key)
          const texts = draft[key] ?? ([value.low, value.typical, value.high].map(String) as unknown as [string, string, string])
          return (
            <Box
              component="li"
              key={key}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr', sm: editing ? '150px 1fr' : '150px 220px minmax(0, 1fr)' },
                columnGap: 1.5,
                alignItems: 'center',
                borderTop: `1px solid ${INK.hairline}`,
                py: 0.4,
              }}
            >
              <Typography sx={{ fontWeight: 700 }}>{key === 'bones' ? 'Bones in a fillet' : ASK_LABEL[key as BandKey]}</Typography>
              {editing ? (
                <Editor
                  trait={key}
                  texts={texts}
                  problem={
                    unread.has(key) ? 'wants three numbers, from low to high' : source && problemAt(problems, source, offer, key)?.message
                  }
                  onChange={(next) => setDraft({ ...draft, [key]: next })}
                />
              ) : (
                <>
                  <TraitStrip trait={key as BandKey} value={value} name={offer.common} />
                  <Typography variant="body2">
                    {describeValue(key as BandKey, value.typical)}
                    <Typography component="span" variant="body2" color="text.secondary" title={value.source}>
                      {' '}
                      · {value.low} to {value.high} ·{' '}
                      <span style={value.basis === 'compiled' ? undefined : { color: INK.tide, fontWeight: 700 }}>
                        {BASIS_WORDS[value.basis]}
                      </span>
                    </Typography>
                    {value.basis === 'house' && shipped && (
                      <Button
                        size="small"
                        onClick={() => revert(key)}
                        sx={{ minHeight: 24, p: '0 6px' }}
                        aria-label={`Put ${ASK_LABEL[key as BandKey]} back as the book has it`}
                      >
                        put back
                      </Button>
                    )}
                  </Typography>
                </>
              )}
            </Box>
          )
        })}
      </Box>
      {editing && (
        <Box sx={{ display: 'flex', gap: 1, mt: 1, alignItems: 'center', flexWrap: 'wrap' }}>
          <Button variant="contained" disabled={typed.length === 0 || unread.size > 0} onClick={() => void keep()}>
            Keep in the house’s hand
          </Button>
          <Button
            onClick={() => {
              setDraft({})
              onDone()
            }}
          >
            Leave it
          </Button>
          {problems
            .filter(({ path }) => source && !HAND_KEYS.some((key) => path.startsWith(`/source${pointerOf(source, offer, key)}`)))
            .map(({ path, message }) => (
              <Typography key={path + message} variant="body2" sx={{ color: 'error.main', fontWeight: 700 }}>
                {path} {message}
              </Typography>
            ))}
        </Box>
      )}
    </>
  )
}
