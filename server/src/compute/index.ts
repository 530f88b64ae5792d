export { createLocalCompute, type Compute } from './compute.ts'
export { createDesk, type Desk } from './desk.ts'
export { type Study, type Work } from './study.ts'
