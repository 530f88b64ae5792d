import type { Journey } from '@tender-gill/contract'
import { BOX_UA_W_PER_K, ICE } from '../tables/signs.ts'

/**
 * Ice that a journey takes, kg: to cool the fish down to 0 °C and to melt in what comes through the walls, with a margin. Heat balance of a
 * box at the warmth of melting ice; nothing is given back for fish or air colder than that.
 */
export function computeIceKg({ massKg, startC, ambientC, hours, box }: Journey): number {
  const coolJ = massKg * ICE.fishJPerKgK * Math.max(0, startC)
  const wallsJ = BOX_UA_W_PER_K[box] * Math.max(0, ambientC) * hours * 3600
  return ((coolJ + wallsJ) / ICE.meltJPerKg) * ICE.margin
}
