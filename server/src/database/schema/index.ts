/** Every table, in rooms by subject; migrations are written from here. */
export { kitchens, changes, commands } from './kitchens.ts'
export { dishes, servings } from './menu.ts'
export { prices, purchases, restUses, seasons, stocks, merchants, rates } from './market.ts'
export { priceLists, quotes, priceSeries, settledNames } from './lists.ts'
export { houseSpecies, leanings, absences } from './house.ts'
export { pairingCodes, phones } from './phones.ts'
export { coldPlaces, coldReadings, looks, lots } from './cold.ts'
export { blobs, decisions } from './decisions.ts'
