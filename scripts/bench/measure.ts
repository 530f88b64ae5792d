/** Median time of several runs after a warm-up, ms. */
export function medianMs(run: () => unknown, { runs = 9, warmUp = 2 }: { runs?: number; warmUp?: number } = {}): number {
  for (let i = 0; i < warmUp; i += 1) run()
  const times = Array.from({ length: runs }, () => {
    const began = performance.now()
    run()
    return performance.now() - began
  })
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? NaN
}
export const shown = (ms: number): string => `${ms.toFixed(ms < 10 ? 2 : 0)} ms`
