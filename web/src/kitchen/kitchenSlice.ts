import { createSlice } from '@reduxjs/toolkit'
import { useSelector } from 'react-redux'

/** In which kitchen this tab stands, and under what name it speaks to the server. Neither changes while the page is open. */
export interface KitchenState {
  readonly id: string
  readonly client: string
}

const slice = createSlice({ name: 'kitchen', initialState: { id: '', client: '' } as KitchenState, reducers: {} })
export const kitchenReducer = slice.reducer

export const useKitchenId = (): string => useSelector((state: { kitchen: KitchenState }) => state.kitchen.id)
