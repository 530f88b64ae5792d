/** Cells of a body from its middle (or its face below) to its surface, all as wide. */
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

/** Cells of a flat piece from its face below to its face above. @param depthM from one face to the other, m */
export const layDepth = (depthM: number, cells: number): RadialGrid => ({
  cells,
  widthM: depthM / cells,
  areas: new Float64Array(cells + 1).fill(1),
  volumesM: new Float64Array(cells).fill(depthM / cells),
})
