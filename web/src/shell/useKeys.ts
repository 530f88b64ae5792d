import { useLayoutEffect, useRef, useState } from 'react'
import { useLocation, useNavigate } from 'react-router'
import { FLOATS } from './floats.ts'

const SWITCH = 'tender-gill-keys'
const isField = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

export const areKeysOn = (): boolean => localStorage.getItem(SWITCH) !== 'off'
export const setKeysOn = (on: boolean): void => localStorage.setItem(SWITCH, on ? 'on' : 'off')

/** Single keys: `/` finds a fish, `g` then a letter moves along the line, `s` opens stand-ins, `?` shows them all. Silent in fields. */
export function useKeys(): { readonly showing: boolean; readonly hide: () => void } {
  const [showing, setShowing] = useState(false)
  const waiting = useRef(false)
  const navigate = useNavigate()
  const { pathname } = useLocation()
  // Heard as soon as the page is there: who knows the keys presses one before it has come to rest.
  useLayoutEffect(() => {
    const id = /^\/dishes\/([^/]+)\//.exec(pathname)?.[1]
    const go = (slug: string) => id && void navigate(`/dishes/${id}/${slug}`)
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape') setShowing(false)
      if (!areKeysOn() || isField(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      const float = waiting.current ? FLOATS.find(({ key }) => key === event.key) : undefined
      waiting.current = event.key === 'g'
      if (float) go(float.slug)
      else if (event.key === '/') {
        event.preventDefault()
        document.querySelector<HTMLInputElement>('[data-focus-key="/"]')?.focus()
      } else if (event.key === '?') setShowing(true)
      else if (event.key === 's') go('stand-ins')
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [navigate, pathname])
  return { showing, hide: () => setShowing(false) }
}
