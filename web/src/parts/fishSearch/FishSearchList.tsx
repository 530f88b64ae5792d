import Autocomplete from '@mui/material/Autocomplete'
import { styled } from '@mui/material/styles'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import type { FishHit, SharedName } from '@tender-gill/names'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { INK } from '../../theme.ts'
import { SearchField } from './SearchField.tsx'

const Line = styled('li')({
  '&.MuiAutocomplete-option': { display: 'block', minHeight: 44, padding: '10px 12px', borderRadius: 4 },
  '&.MuiAutocomplete-option.Mui-focused': { background: INK.brine, outline: `2px solid ${INK.kelp}` },
  '& small': { display: 'block', color: INK.slate },
})

const describeHit = ({ species, soldAs, sharedBy }: FishHit): string => {
  if (!soldAs) return species
  return sharedBy > 1
    ? `${species}, sold as ${soldAs} with ${sharedBy - 1} other${sharedBy > 2 ? 's' : ''}`
    : `${species}, sold as ${soldAs}`
}

/** One line of the list: a fish, or a name that several share. */
interface Choice {
  readonly key: string
  readonly title: string
  readonly words: string
  readonly warning: string | null
  readonly open: () => void
}

interface Lead {
  readonly toFish: (species: string) => void
  readonly toName: ((name: string) => void) | null
}

/** A name that several share leads to all of them where one looks around; where one fish is to be picked, each of them is there to pick. */
function listChoices(hits: readonly FishHit[], shared: SharedName | null, { toFish, toName }: Lead): readonly Choice[] {
  const fish = hits.map((hit) => ({
    key: hit.species,
    title: hit.common,
    words: describeHit(hit),
    warning: hit.warning,
    open: () => toFish(hit.species),
  }))
  if (!shared || !toName) return fish
  return [
    {
      key: 'shared',
      title: `${shared.species.length} species are sold as “${shared.name}”`,
      words: 'See them side by side, and ask for the scientific name',
      warning: null,
      open: () => toName(shared.name),
    },
    ...fish,
  ]
}

const NONE: readonly Choice[] = []

export interface FishSearchProps {
  readonly label: string
  readonly focusKey?: boolean
  readonly onPick: (species: string) => void
  /** Whether one looks around, and a name that several fish share may lead to their page. */
  readonly lookAround?: boolean
}
interface Props extends FishSearchProps {
  readonly text: string
  readonly onText: (text: string) => void
  /** Whether whoever types was here already before the list came. */
  readonly focused: boolean
}

/** The fish that answer to what is typed: arrows choose, Enter opens; Escape empties it, and whoever turns to something else closes the list. */
export function FishSearchList({ label, focusKey = false, lookAround = false, onPick, text, onText, focused }: Props) {
  const navigate = useNavigate()
  const sheet = useSheet()
  const [away, setAway] = useState(false)
  const asked = text.trim()
  const answer = useAnswer(sheet, sheet && asked !== '' ? `${sheet.name}|${asked}` : null, async (desk) => {
    const [hits, shared] = await Promise.all([desk.search(asked), desk.sharedName(asked)])
    return { hits, shared }
  })
  const lead: Lead = { toFish: onPick, toName: lookAround ? (name) => void navigate(`/book?name=${encodeURIComponent(name)}`) : null }
  const choices = asked === '' || !answer ? NONE : listChoices(answer.value.hits, answer.value.shared, lead)
  return (
    <Autocomplete<Choice>
      role="search"
      aria-label={label}
      fullWidth
      autoHighlight
      open={asked !== '' && answer !== undefined && !away}
      onOpen={() => setAway(false)}
      onClose={(_, why) => {
        if (why === 'escape') onText('')
        if (why === 'blur') setAway(true)
      }}
      forcePopupIcon={false}
      value={null}
      inputValue={text}
      onInputChange={(_, typed, why) => {
        if (why === 'input' || why === 'clear') {
          onText(typed)
          setAway(false)
        }
      }}
      onChange={(_, choice) => {
        onText('')
        choice?.open()
      }}
      options={choices}
      // The engine has found and ordered them.
      filterOptions={(all) => all}
      getOptionKey={({ key }) => key}
      getOptionLabel={({ title }) => title}
      noOptionsText={`No fish of the book is sold as “${text}”.`}
      slotProps={{ listbox: { 'aria-label': 'Fish found' } }}
      renderOption={({ key, ...props }, { title, words, warning }) => (
        <Line key={key} {...props}>
          <b>{title}</b>
          <small>{words}</small>
          {warning && (
            <small style={{ color: INK.dulse, fontWeight: 700 }}>{`${warning.slice(0, 1).toUpperCase()}${warning.slice(1)}`}</small>
          )}
        </Line>
      )}
      renderInput={({ slotProps: { input, htmlInput } }) => (
        <SearchField ref={input.ref} label={label} focusKey={focusKey} autoFocus={focused} inputProps={htmlInput} />
      )}
    />
  )
}
