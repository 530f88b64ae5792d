export { computeNormalCdf, computeNormalQuantile } from './normal.ts'
