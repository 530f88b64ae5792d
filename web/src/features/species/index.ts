export { readOffer } from './TraitTable.tsx'
export { HAND_KEYS, type HandKey } from './houseEdits.ts'
