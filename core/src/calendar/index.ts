export { addDays, dayOfYear, toDayNumber, toIsoDate, weekdayOf } from './days.ts'
