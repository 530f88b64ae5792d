import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { runInSlices, WorkLeft } from './runInSlices.ts'

let clockMs = 0
beforeEach(() => {
  clockMs = 0
  vi.spyOn(performance, 'now').mockImplementation(() => clockMs)
})
afterEach(() => vi.restoreAllMocks())

/** Work of so many steps, each of which takes so long, ms. */
function* work(steps: number, holdMs: number): Generator<number, string> {
  for (let step = 1; step <= steps; step += 1) {
    clockMs += holdMs
    yield step
  }
  return `${steps} steps`
}
const soon = () => new Promise<void>((resolve) => setTimeout(resolve))

describe('work in slices', () => {
  it('comes to what it would come to at once', async () => {
    expect(await runInSlices(work(0, 0))).toBe('0 steps')
    expect(await runInSlices(work(500, 0))).toBe('500 steps')
  })

  it('begins after what was asked before it, and lets what is asked meanwhile go first', async () => {
    const order: string[] = []
    const asked = runInSlices(work(4, 40)).then(() => order.push('work'))
    order.push('asked before')
    await soon()
    order.push('asked meanwhile')
    await asked
    expect(order).toEqual(['asked before', 'asked meanwhile', 'work'])
  })

  it('tells how far it is now and then, never backwards, and not for work that is done at once', async () => {
    const told: number[] = []
    await runInSlices(work(12, 40), { onSlice: (step) => told.push(step) })
    // Each 120 ms: every fourth step of 40.
    expect(told).toEqual([4, 8, 12])
    const short: number[] = []
    await runInSlices(work(3, 0), { onSlice: (step) => short.push(step) })
    expect(short).toEqual([])
  })

  it('ends where it is left, before the next step', async () => {
    let done = 0
    function* counted() {
      for (const step of work(100, 35)) {
        done = step
        yield step
      }
    }
    await expect(runInSlices(counted(), { isLeft: () => done >= 2 })).rejects.toBeInstanceOf(WorkLeft)
    expect(done).toBe(2)
  })

  it('passes on what goes wrong in it', async () => {
    // eslint-disable-next-line require-yield
    function* broken(): Generator<number, string> {
      throw new RangeError('no such fish')
    }
    await expect(runInSlices(broken())).rejects.toThrow('no such fish')
  })
})
