export {
  findTurningPoints,
  stepTurningPoints,
  type TurningKind,
  type TurningOptions,
  type TurningPoint,
  type TurningPoints,
} from './findTurningPoints.ts'
