export { forgetKitchen, kitchenPath, pathInKitchen, readKitchen, readLastKitchen, rememberKitchen } from './kitchenAddress.ts'
export { kitchenReducer, useKitchenId, type KitchenState } from './kitchenSlice.ts'
