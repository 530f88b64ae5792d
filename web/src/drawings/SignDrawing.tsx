import type { Sign } from '@tender-gill/contract'
import * as fillet from './signs/fillet.tsx'
import * as shellfish from './signs/shellfish.tsx'
import type { DrawSign, Level } from './signs/strokes.tsx'
import * as whole from './signs/wholeFish.tsx'

const DRAWINGS: Readonly<Record<Sign, DrawSign>> = {
  'gill-smell': whole.smell,
  'gill-colour': whole.gillColour,
  eyes: whole.eyes,
  pupil: whole.pupil,
  spring: whole.spring,
  belly: whole.belly,
  slime: whole.slime,
  skin: whole.skin,
  'spine-blood': whole.spineBlood,
  stiffness: whole.stiffness,
  smell: whole.smell,
  surface: fillet.surface,
  'flesh-colour': fillet.fleshColour,
  'blood-line': fillet.bloodLine,
  gaping: fillet.gaping,
  drip: fillet.drip,
  'ice-burn': fillet.iceBurn,
  shells: shellfish.shells,
  mantle: shellfish.mantle,
  'shell-water': shellfish.shellWater,
  'head-joint': shellfish.headJoint,
  blackening: shellfish.blackening,
  'squid-skin': shellfish.squidSkin,
  'squid-flesh': shellfish.squidFlesh,
}

interface Props {
  readonly sign: Sign
  /** 0 just landed to 3. */
  readonly level: number
}

/** One level of a sign of age as it looks. The words for it stand beside it: to a screen reader it says nothing more. */
export const SignDrawing = ({ sign, level }: Props) => (
  <svg viewBox="0 0 120 80" width="100%" aria-hidden focusable="false">
    {DRAWINGS[sign](Math.max(0, Math.min(3, level)) as Level)}
  </svg>
)
