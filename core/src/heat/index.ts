export { cookSlab, type Medium, type SlabCook } from './cookSlab.ts'
export { composeFromFat, computeProperties, type Composition, type ThermalProperties } from './properties.ts'
export { computeShapeNumber } from './shapeNumber.ts'
