export { Phones } from './Phones.tsx'
