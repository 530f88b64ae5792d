export { readTyped, type Scale, type Typed } from './readTyped.ts'
