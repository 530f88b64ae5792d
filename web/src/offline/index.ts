export { OutdatedNotice } from './OutdatedNotice.tsx'
export { canBeKept } from './register.ts'
export { useKeptOffline } from './useKeptOffline.ts'
