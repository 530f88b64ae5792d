export { FishSearch } from './FishSearch.tsx'
