import type { Range, WindowKind } from '@tender-gill/contract'
import { say, type NormalisedBrief, type PrepareWindow } from '../facts/index.ts'
import { WITH_SKIN } from '../tables/formats.ts'
import { FAT_SLOWS, SALT_DIFFUSIVITY, WINDOW_TABLE, type WindowEntry } from '../tables/windows.ts'
import { computeUptake, findFourier, findFrontSeconds } from './diffusion.ts'

/** A piece as what is laid on it sees it. */
export interface Soaked {
  readonly depthMm: number
  readonly fatG: number
  /** Skin keeps one face shut to what does not go through it. */
  readonly skin: boolean
}

/** Slowest share of the speed that fat leaves. */
const LEAST_SHARE = 0.4

const diffusivityOf = ({ speed }: WindowEntry, fatG: number, of: number): number => of * speed * Math.max(LEAST_SHARE, 1 - FAT_SLOWS * fatG)

/** From a face it goes in at to the middle, or to the skin, m. */
const reachOf = ({ uptake }: WindowEntry, { depthMm, skin }: Soaked): number =>
  depthMm / (skin && !(uptake.kind === 'salt' && uptake.throughSkin) ? 1000 : 2000)

/** Minutes at which a window opens and shuts, for a diffusivity. */
function timeWindow(entry: WindowEntry, piece: Soaked, diffusivity: number): { from: number; to: number } {
  const { uptake, mostMinutes } = entry
  const reachM = reachOf(entry, piece)
  const toMinutes = (seconds: number) => Math.min(mostMinutes, seconds / 60)
  if (uptake.kind === 'front') {
    const at = (mm: number) => toMinutes(findFrontSeconds(Math.min(mm / 1000, reachM), diffusivity))
    return { from: at(uptake.fromMm), to: at(uptake.toMm) }
  }
  const at = (g: number) => toMinutes((findFourier(g / uptake.faceG) * reachM * reachM) / diffusivity)
  return { from: at(uptake.fromG), to: uptake.toG === null ? mostMinutes : at(uptake.toG) }
}

/** g of salt in 100 g of flesh after some minutes. */
function findTaken(entry: WindowEntry, piece: Soaked, minutes: number): number | null {
  const { uptake } = entry
  if (uptake.kind !== 'salt') return null
  const fourier = (diffusivityOf(entry, piece.fatG, SALT_DIFFUSIVITY.typical) * minutes * 60) / reachOf(entry, piece) ** 2
  return Math.min(uptake.strewnG ?? Infinity, uptake.faceG * computeUptake(fourier))
}

function findWindow(kind: WindowKind, piece: Soaked, brief: NormalisedBrief): PrepareWindow {
  const entry = WINDOW_TABLE[kind]
  const { low: slow, typical, high: fast } = SALT_DIFFUSIVITY
  const [early, usual, late] = [fast, typical, slow].map((of) => timeWindow(entry, piece, diffusivityOf(entry, piece.fatG, of))) as [
    { from: number; to: number },
    { from: number; to: number },
    { from: number; to: number },
  ]
  const range = (of: 'from' | 'to'): Range => ({ low: early[of], typical: usual[of], high: late[of] })
  return {
    kind,
    ...{ fromMinutes: usual.from, toMinutes: usual.to, from: range('from'), to: range('to') },
    ...{ usual: entry.methods.has(brief.method), salt: entry.salt },
    takenG: findTaken(entry, piece, (usual.from + usual.to) / 2),
    ...{ how: say(`window.${kind}.how`), tooShort: say(`window.${kind}.short`), tooLong: say(`window.${kind}.long`) },
  }
}

/**
 * What can be done to a piece before it is cooked, each with the time in which it does good: salt by how much has gone in, sour and milk by
 * how deep their front is, after Fick. Those that are usual with the way of cooking first.
 * @param depthMm of the piece   @param fatG g in 100 g
 */
export function findWindows({ depthMm, fatG }: Pick<Soaked, 'depthMm' | 'fatG'>, brief: NormalisedBrief): readonly PrepareWindow[] {
  const skin = WITH_SKIN.has(brief.format) && brief.skin !== 'off' && brief.format !== 'whole'
  const piece = { depthMm, fatG, skin }
  const windows = (Object.keys(WINDOW_TABLE) as WindowKind[]).map((kind) => findWindow(kind, piece, brief))
  return [...windows.filter(({ usual }) => usual), ...windows.filter(({ usual }) => !usual)]
}
