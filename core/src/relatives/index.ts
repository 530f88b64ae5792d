export { computeKinship, findRelatives, type KinDifference, type Relative } from './findRelatives.ts'
