import { useRef, useState, type ComponentType } from 'react'
import type { FishSearchList, FishSearchProps } from './FishSearchList.tsx'
import { SearchField } from './SearchField.tsx'

type List = typeof FishSearchList
/** The list once it was fetched: whoever looks for a second fish has it at once. */
let fetched: List | null = null

/** Finds a fish by any name it is sold under. The field is there at once, and the list comes as soon as somebody turns to it; what is typed meanwhile stays. */
export function FishSearch(props: FishSearchProps) {
  const { label, focusKey = false } = props
  const [text, setText] = useState('')
  const [List, setList] = useState<ComponentType<Parameters<List>[0]> | null>(() => fetched)
  const [focused, setFocused] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const turn = () => {
    import('./FishSearchList.tsx').then(
      (module) => {
        fetched = module.FishSearchList
        setFocused(document.activeElement === input.current)
        setList(() => module.FishSearchList)
      },
      // Out of reach: the field stays as it is, and the next turn to it tries again.
      () => undefined,
    )
  }
  if (List) return <List {...props} text={text} onText={setText} focused={focused} />
  return (
    <div role="search" aria-label={label} style={{ width: '100%' }}>
      <SearchField
        label={label}
        focusKey={focusKey}
        value={text}
        inputRef={input}
        inputProps={{ role: 'combobox', 'aria-expanded': false, 'aria-autocomplete': 'list', autoComplete: 'off' }}
        onFocus={turn}
        onPointerEnter={turn}
        onChange={({ target }) => {
          setText(target.value)
          turn()
        }}
      />
    </div>
  )
}
