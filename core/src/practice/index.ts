export { layRound, listCards, type Round } from './layRound.ts'
export { cardKey, NO_PROGRESS, pickCard, scoreAnswer, type Card, type PracticeKind, type Progress } from './spaceCards.ts'
