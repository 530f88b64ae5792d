import { useEffect } from 'react'
import { useLocation, useNavigationType } from 'react-router'

/** A page that is walked to begins at its top; one that is gone back to stays where the browser has it. */
export function useScrollToTop(): void {
  const { pathname } = useLocation()
  const type = useNavigationType()
  useEffect(() => {
    if (type !== 'POP') document.documentElement.scrollTop = 0
  }, [pathname, type])
}
