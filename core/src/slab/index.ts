export { stepSlab, type SlabContext } from './layOutSlab.ts'
