/**
 * Solves a tridiagonal system of equations in place of its right-hand side, after Thomas. Stable for the diagonally dominant systems of
 * conduction; nothing is pivoted.
 * @param lower below the diagonal, lower[0] unused   @param upper above it, the last unused   @param right overwritten with the solution
 * @param scratch as long as the others, overwritten
 */
export function solveTridiagonalInPlace(
  lower: Float64Array,
  diagonal: Float64Array,
  upper: Float64Array,
  right: Float64Array,
  scratch: Float64Array,
): void {
  const n = diagonal.length
  let pivot = diagonal[0] ?? 1
  right[0] = (right[0] ?? 0) / pivot
  for (let i = 1; i < n; i += 1) {
    scratch[i] = (upper[i - 1] ?? 0) / pivot
    pivot = (diagonal[i] ?? 1) - (lower[i] ?? 0) * (scratch[i] ?? 0)
    right[i] = ((right[i] ?? 0) - (lower[i] ?? 0) * (right[i - 1] ?? 0)) / pivot
  }
  for (let i = n - 2; i >= 0; i -= 1) right[i] = (right[i] ?? 0) - (scratch[i + 1] ?? 0) * (right[i + 1] ?? 0)
}
