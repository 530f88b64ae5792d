export { ColdAlerts } from './ColdAlerts.tsx'
export { JourneyIce } from './JourneyIce.tsx'
export { useHouse } from './useHouse.ts'
export { layLots, type StandingLot } from './layLots.ts'
