export { addDays, countDays, DAY_MS, dayOfYear, dayOfYearOf, isDay, toCivil, toDayNumber, toIsoDate, weekdayOf } from './days.ts'
export { atHour } from './atHour.ts'
export { parseInstant } from './instants.ts'
export { clockIn, dateIn } from './zones.ts'
