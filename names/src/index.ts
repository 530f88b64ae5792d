export { createFishSearch, createNameSearch, type FishHit, type FishSearch, type NamedFish, type SharedName } from './fishSearch.ts'
export { answerFind } from './answerFind.ts'
