import type { Method } from '@tender-gill/contract'
import { band, from, upTo } from './askTable.ts'
import { eatenOffTheBone, fewBones, pressed, type MethodEntry } from './methodEntry.ts'

const bakedFillet = { thickness: { from: 14, pull: 1, why: 'a thin fillet is done before the oven has coloured it' } } as const

/** Ways of cooking in a pan, in fat, over coals, under a broiler, in an oven: what each asks. Each number stands beside its reason; pulls are 0 to 5. */
export const DRY_METHODS = {
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
} as const satisfies { readonly [M in Method]?: MethodEntry }
