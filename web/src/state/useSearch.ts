import { useCallback } from 'react'
import { useSearchParams } from 'react-router'

type Edit = (params: URLSearchParams) => void

/**
 * The search part of the address, and a way to edit it in place. The edit starts from the address as it stands and not as it was
 * last rendered, so that two quick presses both count: a render may still be on its way when the second comes.
 */
export function useSearch(): readonly [URLSearchParams, (edit: Edit) => void] {
  const [search, setSearch] = useSearchParams()
  const change = useCallback(
    (edit: Edit) => {
      const next = new URLSearchParams(window.location.search)
      edit(next)
      setSearch(next, { replace: true })
    },
    [setSearch],
  )
  return [search, change]
}
