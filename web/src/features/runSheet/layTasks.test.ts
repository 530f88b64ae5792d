import { describe, expect, it } from 'vitest'
import { readClock, sayClock } from './layTasks.ts'

describe('clock times of a run sheet', () => {
  it.each([
    [0, '00:00'],
    [1199.9, '19:59'],
    [1442, '00:02'],
    [-5, '23:55'],
  ])('minute %d is %s', (minutes, text) => {
    expect(sayClock(minutes)).toBe(text)
  })
  it.each([
    ['20:15', 1215],
    ['00:00', 0],
    ['24:00', undefined],
    ['8:00', undefined],
    [null, undefined],
  ])('%s is read as %s', (text, minutes) => {
    expect(readClock(text)).toBe(minutes)
  })
})
