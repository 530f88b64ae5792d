export { addDays, countDays, DAY_MS, dayOfYear, isDay, toDayNumber, toIsoDate, weekdayOf } from './days.ts'
