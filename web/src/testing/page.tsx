import { fireEvent as fire, type FireObject } from '@testing-library/dom'
import { Fragment, type ComponentType, type ReactNode } from 'react'
import { flushSync } from 'react-dom'
import { createRoot, type Root } from 'react-dom/client'
import './labels.ts'

export { configure, screen, waitFor, within } from '@testing-library/dom'

// Pages are tested as they are shipped: React as it is built for people, which renders twice as fast as the one for developers and knows no `act`.

/** Whatever is done is on the page when it returns: an event, a change of state, a page that is drawn. */
export function act(work: () => void): void {
  flushSync(work)
}

type Fire = FireObject['click']
const after =
  (make: Fire): Fire =>
  (...args) => {
    let gone = false
    act(() => {
      gone = make(...args)
    })
    return gone
  }

const own = Object.fromEntries(Object.entries(fire).map(([name, make]) => [name, after(make as Fire)])) as FireObject

/** Events as a browser makes them, with what React reads focus, blur and the pointer's coming and going from. */
export const fireEvent: FireObject = {
  ...own,
  focus: (...args) => {
    own.focusIn(...args)
    return own.focus(...args)
  },
  blur: (...args) => {
    own.focusOut(...args)
    return own.blur(...args)
  },
  mouseEnter: (...args) => {
    own.mouseEnter(...args)
    return own.mouseOver(...args)
  },
  mouseLeave: (...args) => {
    own.mouseLeave(...args)
    return own.mouseOut(...args)
  },
}

const drawn: { readonly root: Root; readonly container: HTMLElement }[] = []

/** Draws something into a page of its own. */
export function render(node: ReactNode): {
  readonly container: HTMLElement
  readonly rerender: (next: ReactNode) => void
  readonly unmount: () => void
} {
  const container = document.body.appendChild(document.createElement('div'))
  const root = createRoot(container)
  drawn.push({ root, container })
  act(() => root.render(node))
  return { container, rerender: (next) => act(() => root.render(next)), unmount: () => act(() => root.unmount()) }
}

/** Takes away whatever was drawn. */
export function cleanup(): void {
  for (const { root, container } of drawn.splice(0)) {
    act(() => root.unmount())
    container.remove()
  }
}

interface HookOptions {
  /** What stands around it. */
  readonly wrapper?: ComponentType<{ readonly children: ReactNode }>
}

/** A hook on its own. */
export function renderHook<T>(
  use: () => T,
  { wrapper: Around = Fragment }: HookOptions = {},
): { readonly result: { readonly current: T }; readonly unmount: () => void } {
  const result = {} as { current: T }
  function Probe() {
    result.current = use()
    return null
  }
  const { unmount } = render(
    <Around>
      <Probe />
    </Around>,
  )
  return { result, unmount }
}
