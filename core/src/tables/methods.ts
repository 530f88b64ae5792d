import type { Format, Method, Part } from '@tender-gill/contract'
import { band, from, upTo, type AskPatches, type DefaultAsks } from './askTable.ts'

export type Heat = 'contact' | 'fierce' | 'dry' | 'steam' | 'water' | 'fat' | 'none'
export interface MethodEntry {
  readonly asks: DefaultAsks
  /** Where a cut changes what the method asks: field by field over `asks`. */
  readonly byFormat?: { readonly [F in Format]?: AskPatches }
  /** Parts of a fish to ask for first, where several do equally well; the even middle of it where nothing is said. */
  readonly parts?: { readonly first: readonly Part[]; readonly why: string }
  /** Fraction of raw weight left on the plate. */
  readonly cookingYield: number
  readonly heat: Heat
}

const fewBones = (pull = 3) => upTo(2, pull, 'a guest should not have to pick')
const bakedFillet = { thickness: { from: 14, pull: 1, why: 'a thin fillet is done before the oven has coloured it' } } as const
/** Minced flesh is pressed together: what held it as a fish no longer counts. */
const pressed = {
  binding: from(5, 4, 'pressed flesh has to set'),
  cohesion: { pull: 0, must: {}, why: 'it is minced' },
  flake: { pull: 0, why: 'it is minced' },
} as const
const eatenOffTheBone = { to: 5, pull: 2, why: 'eaten off the frame, so some bones are expected' }

/** What each way of cooking asks of a fish. Each number stands beside its reason; pulls are 0 to 5. */
export const METHOD_TABLE: Record<Method, MethodEntry> = {
  'pan-sear': {
    heat: 'contact',
    cookingYield: 0.82,
    asks: {
      cohesion: from(5.2, 4, 'it is turned once with a slice and must lift whole', 1.8),
      firmness: band(4.5, 7.5, 2, 'some spring under the crust'),
      tolerance: from(5, 3, 'a hot pan leaves a minute between done and dry'),
      fat: band(2, 14, 1, 'a little of its own fat keeps it moist'),
      skin: from(6.5, 2, 'most of the time is spent skin side down'),
      thickness: from(16, 1, 'thin fillets are done before they are brown'),
      flavour: band(1.5, 6.5, 1, 'a bare plate hides nothing'),
      bones: fewBones(),
    },
    byFormat: {
      mince: pressed,
      whole: { bones: eatenOffTheBone, thickness: { pull: 0 } },
      'fillet-skinless': { skin: { pull: 0, why: 'the skin is off' } },
      steak: { skin: { pull: 0, why: 'a steak lies on its cut face' }, bones: { to: 4, pull: 2, why: 'a steak keeps its round of bone' } },
    },
  },
  'shallow-fry': {
    heat: 'contact',
    cookingYield: 0.82,
    asks: {
      cohesion: from(3.7, 3, 'coated, turned once, lifted out', 1.1),
      firmness: band(3, 6.5, 2, 'tender inside the crust'),
      flake: upTo(6.5, 1, 'fine flesh lies flat under its flour'),
      thickness: upTo(19, 2, 'thin fillets are done when the flour is brown'),
      fat: upTo(5, 2, 'lean flesh, since the pan brings the fat'),
      flavour: upTo(4.5, 2, 'butter and crumb want a mild fish'),
      tolerance: from(3.2, 1, 'the coat forgives a little'),
      bones: fewBones(),
    },
    byFormat: {
      whole: { bones: eatenOffTheBone, thickness: { pull: 0 } },
      portion: { thickness: { to: 26 } },
      mince: pressed,
      steak: { bones: { to: 4, pull: 2 } },
    },
  },
  'deep-fry': {
    heat: 'fat',
    cookingYield: 0.78,
    asks: {
      flake: band(6, 9.2, 3, 'white flakes that steam open inside the batter'),
      fat: upTo(2.5, 3, 'lean: oily flesh in oil cloys'),
      flavour: upTo(3.2, 3, 'clean taste under the crust'),
      cohesion: from(4, 3, 'must not fall to bits in the basket', 1.1),
      firmness: band(3.5, 6.2, 1, 'tender against the crunch'),
      colour: { wanted: ['white', 'ivory'], pull: 1, why: 'white flesh is what the crust promises' },
      bones: upTo(1.5, 4, 'eaten with the fingers, without looking'),
    },
    byFormat: {
      whole: {
        flake: { pull: 0, why: 'eaten whole and crisp' },
        fat: { to: 12, pull: 1, why: 'small oily fish fry crisp' },
        flavour: { to: 8, pull: 1, why: 'the sea may be tasted' },
        colour: { pull: 0, why: 'under its own skin' },
        bones: { to: 3, pull: 3, why: 'small bones crisp, large ones do not' },
        skin: { from: 5, pull: 2, why: 'the skin is the crust' },
      },
      portion: { thickness: { from: 14, pull: 1, why: 'a thin piece dries before the batter is brown' } },
      mince: pressed,
    },
  },
  grill: {
    heat: 'fierce',
    cookingYield: 0.76,
    parts: { first: ['collar', 'belly'], why: 'collar and belly carry the fat that fierce heat asks for' },
    asks: {
      cohesion: from(6.2, 5, 'it has to come off the bars in one piece', 3.7),
      firmness: from(6, 3, 'firm flesh stands the turning'),
      fat: band(2, 16, 2, 'fat bastes it under fierce heat'),
      tolerance: from(4, 2, 'coals are never even'),
      flavour: band(1.5, 8, 1, 'enough taste to stand up to smoke'),
      flake: upTo(6, 1, 'large flakes drop through the bars'),
      bones: fewBones(),
    },
    byFormat: {
      whole: {
        skin: { from: 6, pull: 3, why: 'its skin is what keeps a whole fish off the bars' },
        firmness: { from: 4.5, pull: 2 },
        bones: eatenOffTheBone,
      },
      portion: { thickness: { from: 20, pull: 1, why: 'thick pieces char before they dry' } },
      steak: {
        fat: { from: 0.8, pull: 1, why: 'a thick steak keeps its juice' },
        tolerance: { from: 2, pull: 1, why: 'a steak is turned once and taken off' },
        firmness: { from: 6.5, why: 'a steak is eaten for its bite' },
        flake: { to: 8 },
        bones: { to: 4, pull: 2, why: 'a steak keeps its round of bone' },
      },
      chunk: {
        cohesion: { from: 7, why: 'it hangs on a skewer and is turned by it' },
        firmness: { from: 7, why: 'a skewer asks for bite' },
        flake: { to: 4, pull: 2, why: 'flakes leave the skewer' },
        fat: { from: 0.5, pull: 1, why: 'it is basted as it turns' },
        tolerance: { from: 2.5, pull: 1, why: 'small pieces are watched' },
      },
      'fillet-skin-on': { skin: { from: 4, pull: 2, why: 'the skin lies on the bars' } },
      mince: pressed,
    },
  },
  broil: {
    heat: 'fierce',
    cookingYield: 0.76,
    parts: { first: ['collar', 'belly'], why: 'collar and belly carry the fat that fierce heat asks for' },
    asks: {
      fat: band(6, 22, 4, 'the heat is dry and from above; fat answers it'),
      tolerance: from(6, 3, 'the top is hot before the middle is warm'),
      cohesion: from(3, 2, 'it stays on its tray and is lifted once', 0.8),
      firmness: band(3.5, 8, 1, 'any but mush'),
      flavour: band(2, 8, 1, 'glaze and char cover both ends'),
      bones: fewBones(),
    },
    byFormat: {
      whole: { bones: eatenOffTheBone, skin: { from: 4, pull: 2, why: 'the skin takes the heat' } },
      steak: { bones: { to: 4, pull: 2 } },
    },
  },
  roast: {
    heat: 'dry',
    cookingYield: 0.8,
    asks: {
      tolerance: from(3.8, 3, 'nobody stands over an oven'),
      cohesion: from(4.3, 3, 'it must move from tray to plate', 1.1),
      firmness: band(4.3, 8.5, 2, 'it should carve or flake, not slump'),
      fat: band(0.8, 16, 1, 'dry heat takes water; fat keeps the bite'),
      thickness: from(24, 1, 'thick pieces roast, thin ones dry'),
      flavour: band(1.5, 7, 1, 'tray juices take most flavours'),
      bones: fewBones(),
    },
    byFormat: {
      whole: { bones: eatenOffTheBone, thickness: { pull: 0 } },
      steak: { bones: { to: 4, pull: 2 } },
      'fillet-skin-on': bakedFillet,
      'fillet-skinless': bakedFillet,
    },
  },
  'roast-whole': {
    heat: 'dry',
    cookingYield: 0.8,
    asks: {
      tolerance: from(5, 2, 'the thick back sets the clock, the tail waits'),
      firmness: band(4.5, 7, 2, 'fillets should lift off the frame'),
      cohesion: from(5, 2, 'it is carried to the table'),
      fat: band(1.5, 14, 2, 'a lean fish dries before the bone lets go'),
      skin: from(6, 2, 'the skin is half of the dish'),
      flavour: band(2, 6.5, 1, 'it is eaten almost plain'),
      bones: upTo(4, 3, 'a clean skeleton makes it easy at the table'),
    },
  },
  steam: {
    heat: 'steam',
    cookingYield: 0.85,
    asks: {
      firmness: band(3.5, 6, 2, 'silk, not chew'),
      flavour: upTo(3.5, 3, 'steam hides nothing'),
      fat: band(1, 8, 2, 'a little fat for gloss, too much tastes of oil'),
      tolerance: from(4, 2, 'steam is fierce and quick'),
      cohesion: from(3.7, 2, 'it is lifted on its plate', 0.5),
      collagen: from(4, 1, 'a little gelatine makes it glossy'),
      bones: fewBones(),
    },
    byFormat: { mince: pressed, whole: { bones: eatenOffTheBone } },
  },
  'steam-whole': {
    heat: 'steam',
    cookingYield: 0.85,
    asks: {
      firmness: band(3.5, 6, 3, 'silk that leaves the bone in large flakes'),
      flavour: upTo(3.5, 3, 'steam hides nothing'),
      fat: band(1.5, 8, 2, 'a little fat for gloss'),
      tolerance: from(4.5, 2, 'the back must be done before the belly is over'),
      collagen: from(4, 1, 'skin and head are eaten for it'),
      cohesion: from(3.7, 1, 'it must lie on the plate as a fish'),
      skin: from(4, 1, 'it comes to the table in its skin, which is eaten'),
      bones: upTo(4, 3, 'forked bones in soft flesh are the worst kind'),
    },
  },
  'wrap-steam': {
    heat: 'steam',
    cookingYield: 0.85,
    asks: {
      fat: band(0.5, 15, 1, 'it bastes in its own juice'),
      firmness: band(3.5, 7, 2, 'soft enough to eat with a spoon'),
      tolerance: from(4, 2, 'nobody sees into the parcel'),
      cohesion: from(3, 1, 'the wrap holds it'),
      flavour: band(1.2, 7, 1, 'paste and leaf carry a fair deal'),
      bones: fewBones(),
    },
    byFormat: { mince: pressed, whole: { bones: eatenOffTheBone } },
  },
  poach: {
    heat: 'water',
    cookingYield: 0.85,
    asks: {
      flake: band(4.5, 9, 2, 'it is eaten in flakes'),
      flavour: upTo(4.2, 3, 'milk or broth wants a mild fish'),
      cohesion: from(3.4, 3, 'it has to leave the pan', 0.5),
      firmness: band(3.5, 6.5, 2, 'tender, in pieces'),
      fat: upTo(10, 1, 'oil floats out and clouds the liquor'),
      tolerance: from(3.5, 2, 'a shiver too long is soon done'),
      bones: fewBones(),
    },
    byFormat: {
      mince: pressed,
      whole: { bones: eatenOffTheBone },
      'fillet-skinless': { flake: { from: 1, pull: 1, why: 'a fine fillet is folded and parts under a spoon' } },
      portion: { thickness: { from: 18, pull: 2, why: 'a portion needs some depth to stay moist in the liquor' } },
      chunk: {
        flake: { from: 5.5, pull: 3, why: 'pieces part in leaves under their crust or sauce' },
        thickness: { from: 14, pull: 1, why: 'pieces need some depth to stay pieces' },
      },
    },
  },
  braise: {
    heat: 'water',
    cookingYield: 0.8,
    asks: {
      tolerance: from(6, 5, 'it cooks past done, on purpose'),
      cohesion: from(6.9, 4, 'it must not shred into the sauce', 3.7),
      firmness: band(6, 9, 3, 'soft flesh turns to porridge'),
      collagen: from(5, 2, 'it gives the sauce its body'),
      fat: band(1, 14, 1, 'dry dense fish suffers in long heat'),
      thickness: from(28, 2, 'a thick slice survives'),
      flavour: band(2, 7, 1, 'it has to be tasted through the sauce'),
      bones: upTo(3, 2, 'bones large enough to see are no trouble here'),
    },
    byFormat: { whole: { bones: { to: 5 }, thickness: { pull: 0 } } },
  },
  stew: {
    heat: 'water',
    cookingYield: 0.8,
    asks: {
      cohesion: from(6.9, 5, 'pieces must stay whole under the ladle', 3.7),
      firmness: from(6, 3, 'something to bite among the broth'),
      tolerance: from(5.3, 3, 'a pot waits for guests'),
      collagen: from(4.5, 2, 'gelatine makes the broth cling'),
      flavour: band(1.5, 5.5, 2, 'it flavours everything beside it'),
      fat: upTo(6, 2, 'oil floats and dulls the broth'),
      bones: upTo(1.5, 4, 'nobody sees a bone in a bowl'),
    },
    byFormat: {
      mince: pressed,
      whole: { bones: { to: 5, pull: 2 } },
      steak: { bones: { to: 4.5, pull: 2, why: 'a steak keeps its round of bone' } },
    },
  },
  chowder: {
    heat: 'water',
    cookingYield: 0.8,
    asks: {
      flake: band(5.5, 9, 3, 'broad white flakes are the point'),
      cohesion: from(4, 4, 'it should be found in the bowl, not dissolved', 1.5),
      fat: upTo(2.5, 3, 'cream brings the fat'),
      flavour: upTo(3.3, 3, 'mild against milk and potato'),
      firmness: band(4, 7, 2, 'to hold when stirred'),
      tolerance: from(3.3, 1, 'added last, but a bowl keeps cooking'),
      colour: { wanted: ['white', 'ivory'], pull: 1, why: 'white in a white soup' },
      bones: upTo(1, 5, 'a spoon finds every bone'),
    },
  },
  curry: {
    heat: 'water',
    cookingYield: 0.8,
    asks: {
      cohesion: from(6, 5, 'it simmers and is served from the pot', 3),
      firmness: band(5.5, 8.8, 3, 'bite against the sauce'),
      tolerance: from(4.2, 2, 'it stands in hot gravy'),
      flavour: band(2.5, 7.5, 1, 'spice carries a stronger fish'),
      fat: band(1, 12, 1, 'a little fat carries the spice'),
      bones: upTo(3, 2, 'eaten with rice and by hand'),
    },
    byFormat: { mince: pressed, whole: { bones: { to: 6 } }, steak: { bones: { to: 5.5, why: 'bone-in slices are the custom' } } },
  },
  'sous-vide': {
    heat: 'water',
    cookingYield: 0.9,
    asks: {
      firmness: band(4, 7.5, 2, 'low heat does not firm a soft fish'),
      fat: band(3, 18, 2, 'fat turns to silk at low heat'),
      flavour: band(1.5, 5.5, 2, 'the bag keeps every flavour in'),
      cohesion: from(3.7, 2, 'it is handled out of the bag'),
      thickness: from(24, 2, 'worth the bath only when thick'),
      bones: upTo(1, 4, 'a neat portion has none'),
    },
  },
  raw: {
    heat: 'none',
    cookingYield: 1,
    asks: {
      rawBite: from(7, 5, 'a clean slice that stands', 4),
      bones: upTo(0.8, 5, 'not one', 4),
      flavour: band(0.8, 5.2, 3, 'clean and sweet'),
      fat: band(0.8, 18, 2, 'some fat for the tongue'),
    },
  },
  cure: {
    heat: 'none',
    cookingYield: 0.85,
    asks: {
      fat: band(7, 20, 4, 'fat stays supple under salt, lean flesh turns to board'),
      rawBite: from(6, 4, 'it is sliced thin and must stand', 3),
      flavour: band(3, 7.5, 2, 'salt and sugar need something to meet'),
      thickness: from(16, 2, 'thin flesh is salted through before it is cured'),
      bones: upTo(1, 4, 'sliced across, every bone shows'),
    },
    byFormat: { whole: { bones: { to: 5, pull: 1 }, thickness: { pull: 0 } } },
  },
  smoke: {
    heat: 'dry',
    cookingYield: 0.72,
    parts: { first: ['belly'], why: 'the fattest part takes smoke best' },
    asks: {
      fat: band(8, 26, 5, 'fat takes the smoke and keeps it moist'),
      flavour: band(3.5, 8.5, 2, 'a mild fish tastes only of smoke'),
      cohesion: from(3, 2, 'it hangs or lies on a rack'),
      firmness: band(3.5, 7.5, 1, 'it should flake, not crumble'),
      bones: upTo(3.5, 2, 'bones are lifted after smoking'),
    },
    byFormat: { whole: { bones: { to: 6, pull: 1 } } },
  },
  mince: {
    heat: 'water',
    cookingYield: 0.8,
    parts: { first: ['tail'], why: 'the tail is thin and sinewy; minced it is as good as any, and the rest is left for a plate' },
    asks: {
      binding: from(6.5, 5, 'the protein has to set, or it is porridge', 2.5),
      fat: upTo(4, 3, 'fat breaks the gel'),
      flavour: upTo(4, 3, 'a mild base for seasoning'),
      bones: upTo(1, 2, 'most bones can be milled or scraped away'),
      colour: { wanted: ['white', 'ivory'], pull: 1, why: 'pale paste looks clean' },
    },
  },
  broth: {
    heat: 'water',
    cookingYield: 1,
    asks: {
      collagen: from(4.5, 4, 'gelatine is what a broth is made for'),
      fat: upTo(3, 4, 'oily frames turn it rank', 10),
      flavour: upTo(3.8, 4, 'clean, or it cannot be reduced'),
    },
  },
}

/** Ways of cooking in which nobody sees which fish it is: a dear one is wasted there. */
export const HIDES_THE_FISH: ReadonlySet<Method> = new Set<Method>(['mince', 'chowder', 'broth'])
/** Cuts that hide it in a way of cooking that otherwise shows it: poached chunks go under a crust or a sauce. */
export const HIDING_CUTS: { readonly [M in Method]?: readonly Format[] } = { poach: ['chunk', 'mince'] }
/** Ways of cooking that cover or ask for a taste of earth, sea or ammonia. */
export const HIDES_OFF_FLAVOURS: ReadonlySet<Method> = new Set<Method>(['curry', 'smoke', 'broth'])
/** Ways of cooking in which a whole fish may be of any size, where nothing is said. */
export const ANY_SIZE: ReadonlySet<Method> = new Set<Method>(['broth', 'cure', 'smoke', 'mince'])
