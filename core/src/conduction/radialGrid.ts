/** Cells of a body between its middle (or back face) and its surface, all as wide. */
export interface RadialGrid {
  readonly cells: number
  /** Width of a cell, m. */
  readonly widthM: number
  /** Area of each face over that of the surface, from the middle outwards; one more than cells. */
  readonly areas: Float64Array
  /** Volume of each cell over the area of the surface, m. */
  readonly volumesM: Float64Array
}

/**
 * Cells of a body whose area grows with the distance from its middle to the power n - 1: a slab 1, a long cylinder 2, a sphere 3, anything in
 * between for a body of that shape number.
 * @param halfM from the middle to the surface, m
 */
export function layGrid(halfM: number, cells: number, exponent: number): RadialGrid {
  const widthM = halfM / cells
  const areas = Float64Array.from({ length: cells + 1 }, (_, i) => (i / cells) ** (exponent - 1))
  const volumesM = Float64Array.from({ length: cells }, (_, i) => {
    const [inner, outer] = [(i / cells) ** exponent, ((i + 1) / cells) ** exponent]
    return ((outer - inner) * halfM) / exponent
  })
  // Nothing flows through the middle: of a slab it is a plane, and its area would be 1.
  areas[0] = 0
  return { cells, widthM, areas, volumesM }
}
