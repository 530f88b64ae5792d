import { useEffect } from 'react'
import { useDispatch } from 'react-redux'
import { ENTITIES } from '@tender-gill/contract/operations'
import { api } from '../api/api.ts'
import type { AppDispatch } from '../state/store.ts'
import { keepForOffline } from './register.ts'

/** For the pages people open where there is no reception: from their first visit on they are kept. A desk that never opens one keeps nothing. */
export function useKeptOffline(): void {
  const dispatch = useDispatch<AppDispatch>()
  useEffect(() => keepForOffline(() => dispatch(api.util.invalidateTags([...ENTITIES]))), [dispatch])
}
