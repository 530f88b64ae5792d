export { createFishSearch, type FishHit, type FishSearch, type SharedName } from './fishSearch.ts'
