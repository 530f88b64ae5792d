export { readTyped, typedNumber, type Scale, type Typed } from './readTyped.ts'
