import type { FeedState } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeFeed } from './FeedNotice.tsx'
import { sayDay, sayOrder } from '../../parts/orderWords.ts'
import { readLocalTime } from '../../parts/readLocalTime.ts'

const SATURDAY = '2026-06-13'

describe('days as a kitchen says them', () => {
  it('are today, tomorrow, a weekday within the week, else a date', () => {
    expect([SATURDAY, '2026-06-14', '2026-06-17', '2026-06-19', '2026-06-20', '2026-06-12'].map((day) => sayDay(day, SATURDAY))).toEqual([
      'today',
      'tomorrow',
      'Wednesday',
      'Friday',
      '20 June',
      '12 June',
    ])
  })

  it('say until when to order and for when', () => {
    expect(sayOrder({ merchant: 'Holt', delivery: '2026-06-16', orderBy: { date: '2026-06-15', time: '21:00' } }, SATURDAY)).toBe(
      'order by 21:00 Monday for Tuesday',
    )
  })

  it('take the hour from the kitchen’s own zone', () => {
    const at = new Date('2026-06-13T22:30:00Z')
    expect([readLocalTime('UTC', at), readLocalTime('Europe/Lisbon', at), readLocalTime('Asia/Tokyo', at)]).toEqual([
      '22:30',
      '23:30',
      '07:30',
    ])
  })
})

describe('a feed in words', () => {
  const feed: FeedState = {
    ...{ key: 'holt', state: 'never', lastGoodAt: null, lastListDate: null, lastTriedAt: null, nextTryAt: null },
    ...{ failures: 0, problem: null, news: null },
  }
  it('says what came, what went wrong, when it is tried again, and that the last list still counts', () => {
    expect(describeFeed(feed, SATURDAY)).toBe('nothing came yet')
    expect(describeFeed({ ...feed, problem: 'it answered 500', nextTryAt: '2026-06-13T12:04:00Z' }, SATURDAY)).toBe(
      'nothing came yet: it answered 500; tried again at 12:04 UTC',
    )
    expect(describeFeed({ ...feed, state: 'fresh', lastListDate: SATURDAY }, SATURDAY)).toBe('list of today')
    expect(describeFeed({ ...feed, state: 'fresh', lastListDate: '2026-06-14' }, SATURDAY)).toBe('list of today')
    expect(describeFeed({ ...feed, state: 'silent', lastListDate: '2026-06-12', failures: 3, problem: 'it answered 500' }, SATURDAY)).toBe(
      'silent, it answered 500 (3 times). Its list of 12 June still counts',
    )
  })
})
