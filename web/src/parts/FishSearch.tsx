import { styled } from '@mui/material/styles'
import { useId, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import type { FishHit, SharedName } from '@tender-gill/names'
import { useAnswer, useSheet } from '../engine/index.ts'
import { INK } from '../theme.ts'

const Field = styled('input')({
  width: '100%',
  height: 40,
  padding: '0 14px',
  font: 'inherit',
  fontSize: 16,
  borderRadius: 4,
  color: 'inherit',
  background: 'transparent',
  border: `1px solid ${INK.slate}`,
  '&::placeholder': { color: 'inherit', opacity: 0.8 },
})
const List = styled('ul')({
  position: 'absolute',
  zIndex: 30,
  left: 0,
  right: 0,
  top: 44,
  margin: 0,
  padding: 4,
  listStyle: 'none',
  background: INK.ice,
  color: INK.squid,
  border: `1px solid ${INK.slate}`,
  borderRadius: 4,
  boxShadow: '0 6px 18px rgb(21 36 44 / 25%)',
})
const Option = styled('li')({
  padding: '10px 12px',
  cursor: 'pointer',
  borderRadius: 4,
  minHeight: 44,
  '&[aria-selected=true]': { background: INK.brine, outline: `2px solid ${INK.kelp}` },
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
  readonly toName: (name: string) => void
}

function listChoices(hits: readonly FishHit[], shared: SharedName | null, { toFish, toName }: Lead): readonly Choice[] {
  const fish = hits.map((hit) => ({
    key: hit.species,
    title: hit.common,
    words: describeHit(hit),
    warning: hit.warning,
    open: () => toFish(hit.species),
  }))
  if (!shared) return fish
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

interface Props {
  readonly label: string
  readonly focusKey?: boolean
  readonly onPick: (species: string) => void
}

/** Finds a fish by any name it is sold under. A combobox: arrows choose, Enter opens, Escape closes. */
export function FishSearch({ label, focusKey = false, onPick }: Props) {
  const listId = useId()
  const navigate = useNavigate()
  const sheet = useSheet()
  const [text, setText] = useState('')
  const [at, setAt] = useState(0)
  const asked = text.trim()
  const answer = useAnswer(sheet, sheet && asked !== '' ? `${sheet.name}|${asked}` : null, async (desk) => {
    const [hits, shared] = await Promise.all([desk.search(asked), desk.sharedName(asked)])
    return { hits, shared }
  })
  const lead: Lead = { toFish: onPick, toName: (name) => void navigate(`/book?name=${encodeURIComponent(name)}`) }
  const choices = asked === '' || !answer ? NONE : listChoices(answer.value.hits, answer.value.shared, lead)
  const change = (value: string) => {
    setText(value)
    setAt(0)
  }
  const open = (choice: Choice | undefined) => {
    if (!choice) return
    setText('')
    choice.open()
  }
  const keys: Record<string, () => void> = {
    ArrowDown: () => setAt(Math.min(choices.length - 1, at + 1)),
    ArrowUp: () => setAt(Math.max(0, at - 1)),
    Enter: () => open(choices[at]),
    Escape: () => change(''),
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const act = keys[event.key]
    if (!act) return
    event.preventDefault()
    act()
  }
  const expanded = asked !== '' && answer !== undefined
  return (
    <div style={{ position: 'relative', width: '100%' }} role="search" aria-label={label}>
      <Field
        role="combobox"
        aria-label={label}
        aria-expanded={expanded}
        aria-controls={listId}
        aria-activedescendant={expanded && choices[at] ? `${listId}-${at}` : undefined}
        aria-autocomplete="list"
        placeholder={label}
        value={text}
        data-focus-key={focusKey ? '/' : undefined}
        onChange={(event) => change(event.target.value)}
        onKeyDown={onKeyDown}
        autoComplete="off"
        spellCheck={false}
      />
      {expanded && (
        <List id={listId} role="listbox" aria-label="Fish found">
          {choices.map((choice, i) => (
            <Option key={choice.key} id={`${listId}-${i}`} role="option" aria-selected={i === at} onMouseDown={() => open(choice)}>
              <b>{choice.title}</b>
              <small>
                {choice.words}
                {choice.warning && <b style={{ color: INK.dulse }}>{`. ${choice.warning}`}</b>}
              </small>
            </Option>
          ))}
          {choices.length === 0 && (
            <Option role="option" aria-selected={false} aria-disabled>{`No fish of the book is sold as “${text}”.`}</Option>
          )}
        </List>
      )}
    </div>
  )
}
