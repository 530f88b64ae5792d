export { chooseKitchen, kitchenPath, readKitchen, readLastKitchen, rememberKitchen } from './kitchenAddress.ts'
export { kitchenReducer, useKitchenId, type KitchenState } from './kitchenSlice.ts'
