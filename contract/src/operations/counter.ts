import { command, question } from './operation.ts'
import { recordOperations } from './recordOperations.ts'

/** Fish that was looked at, what came in of it, where it is kept and how warm that is. */
export const counter = {
  ...recordOperations('look', 'looks', {
    path: 'looks',
    what: 'look at a fish at the counter',
    entity: 'look',
    touches: ['look', 'entry'],
    permission: 'market',
    input: 'LookInput',
    record: 'LookRecord',
  }),
  ...recordOperations('lot', 'lots', {
    path: 'lots',
    what: 'fish that came in at one time, and how it is kept',
    entity: 'lot',
    touches: ['lot', 'entry'],
    permission: 'market',
    input: 'LotInput',
    record: 'LotRecord',
  }),
  ...recordOperations('coldPlace', 'coldPlaces', {
    path: 'cold-places',
    what: 'place where fish is kept',
    entity: 'coldPlace',
    permission: 'house',
    input: 'ColdPlaceInput',
    record: 'ColdPlaceRecord',
  }),
  coldReadings: question({
    method: 'GET',
    path: '/cold-readings',
    summary: 'How warm it was where fish is kept, since a day; since the oldest lot in the house was bought where none is named',
    query: { since: 'day' },
    output: 'ColdReading',
    many: true,
    reads: ['coldReading', 'lot'],
  }),
  coldCalendar: question({
    method: 'GET',
    path: '/cold-calendar',
    summary: 'What has to be done to the fish in the house and when, as iCalendar',
    output: 'FileText',
    reads: ['lot', 'coldPlace', 'coldReading', 'serving'],
  }),
  runCalendar: question({
    method: 'POST',
    path: '/run-calendar',
    summary: 'A run sheet as iCalendar',
    input: 'RunCalendarRequest',
    output: 'FileText',
  }),
  keepReadings: command({
    method: 'POST',
    path: '/cold-places/{id}/readings',
    summary: 'Readings of a thermometer; one that is there already stays as it is',
    permission: 'market',
    input: 'ReadingsInput',
    output: 'Changed',
    touches: ['coldReading'],
  }),
}
