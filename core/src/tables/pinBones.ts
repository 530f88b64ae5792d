import type { Body } from '@tender-gill/contract'

/** How pin bones lie in one side of a fish: compiled, by the build of its family. */
export interface PinBones {
  /** In a side: fewest and most. */
  readonly fewest: number
  readonly most: number
  /** Where they run, as shares of the side from the head end. */
  readonly from: number
  readonly to: number
  /** Slant against the length of the side, degrees: small lies flat, towards the head end; 90 stands straight up. */
  readonly angleDeg: number
  /** Where they cannot be drawn well, a strip with them is cut out. */
  readonly cutOut: boolean
}

const SALMON: PinBones = { fewest: 26, most: 34, from: 0.03, to: 0.66, angleDeg: 40, cutOut: false }
const COD: PinBones = { fewest: 10, most: 18, from: 0.02, to: 0.36, angleDeg: 75, cutOut: true }
const BREAM: PinBones = { fewest: 10, most: 16, from: 0.03, to: 0.45, angleDeg: 50, cutOut: true }
const BASS: PinBones = { fewest: 12, most: 18, from: 0.03, to: 0.5, angleDeg: 45, cutOut: false }
const MACKEREL: PinBones = { fewest: 14, most: 24, from: 0.02, to: 0.6, angleDeg: 70, cutOut: true }
const HERRING: PinBones = { fewest: 30, most: 60, from: 0.02, to: 0.9, angleDeg: 30, cutOut: false }

/** Families whose bones lie otherwise than those of their body at large. */
const BY_FAMILY: Readonly<Record<string, PinBones>> = {
  ...{ Salmonidae: SALMON, Osmeridae: SALMON },
  ...{ Gadidae: COD, Merlucciidae: COD, Lotidae: COD, Macrouridae: COD, Moridae: COD },
  ...{ Sparidae: BREAM, Lutjanidae: BREAM, Lethrinidae: BREAM, Sebastidae: BREAM, Scorpaenidae: BREAM },
  ...{ Moronidae: BASS, Serranidae: BASS, Percidae: BASS, Latidae: BASS, Sciaenidae: BASS },
  ...{ Scombridae: MACKEREL, Carangidae: MACKEREL, Gempylidae: MACKEREL },
  ...{ Clupeidae: HERRING, Engraulidae: HERRING },
}
const BY_BODY: Readonly<Record<Body, PinBones | null>> = {
  round: BASS,
  deep: BREAM,
  // Their ribs are short and come away with the frame.
  flat: null,
  eel: COD,
}
export const findPinBones = ({ family, body }: { readonly family: string; readonly body: Body }): PinBones | null =>
  body === 'flat' ? null : (BY_FAMILY[family] ?? BY_BODY[body])
