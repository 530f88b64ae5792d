export { stepCoverCard, writeCoverCard } from './writeCoverCard.ts'
