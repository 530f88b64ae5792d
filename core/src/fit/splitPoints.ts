/**
 * Splits a total into shares shown to one decimal that add up to the shown total (largest remainder).
 * @param weights non-negative, one for each share   @param shownTotal the total, already rounded to 0.1
 */
export function splitPoints(weights: readonly number[], shownTotal: number): readonly number[] {
  const sum = weights.reduce((a, b) => a + b, 0)
  const tenths = Math.round(shownTotal * 10)
  if (sum <= 0) return weights.map(() => 0)
  const exact = weights.map((weight) => (tenths * weight) / sum)
  const floors = exact.map(Math.floor)
  let left = tenths - floors.reduce((a, b) => a + b, 0)
  const byRemainder = exact.map((value, i) => ({ i, rest: value - Math.floor(value) })).sort((a, b) => b.rest - a.rest || a.i - b.i)
  for (const { i } of byRemainder) {
    if (left <= 0) break
    floors[i] = (floors[i] ?? 0) + 1
    left -= 1
  }
  return floors.map((n) => n / 10)
}
