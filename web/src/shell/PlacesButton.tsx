import { lazy, Suspense, useState, type MouseEvent, type ReactNode } from 'react'

// Fetched when it is first opened.
const PlacesMenu = lazy(() => import('./PlacesMenu.tsx'))

interface ButtonProps {
  readonly 'aria-haspopup': 'menu'
  readonly 'aria-expanded': boolean
  readonly 'aria-label'?: string
  readonly onClick: (event: MouseEvent<HTMLElement>) => void
}
interface Props {
  /** What the menu is called. */
  readonly menu: string
  /** What the button is called, where it does not say so itself. */
  readonly name?: string
  readonly rooms?: readonly (readonly [to: string, label: string])[]
  readonly children: (props: ButtonProps) => ReactNode
}

/** A button that opens the menu of places, and gets the focus back when that closes. */
export function PlacesButton({ menu, name, rooms = [], children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [opened, setOpened] = useState(false)
  const open = ({ currentTarget }: MouseEvent<HTMLElement>) => {
    setAnchor(currentTarget)
    setOpened(true)
  }
  return (
    <>
      {children({
        ...{ 'aria-haspopup': 'menu', 'aria-expanded': anchor !== null, onClick: open },
        ...(name === undefined ? {} : { 'aria-label': name }),
      })}
      {opened && (
        <Suspense fallback={null}>
          <PlacesMenu label={menu} anchor={anchor} rooms={rooms} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </>
  )
}
