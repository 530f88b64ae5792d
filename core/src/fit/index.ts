export { computeFit, type Fit, type Reading } from './computeFit.ts'
export { explainPoints } from './explainPoints.ts'
export { createScoring, withAsks, type ScoredAsk, type Scoring } from './scoring.ts'
export { splitPoints } from './splitPoints.ts'
