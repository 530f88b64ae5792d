import type { Brief, Method, Style } from '@tender-gill/contract'
import { ask, band, from, upTo } from './askTable.ts'
import { METHOD_TABLE, type MethodEntry } from './methods.ts'

/** What a style asks in place of its method's own asks, and what it is, in a cook's words. */
export type StyleEntry = Pick<MethodEntry, 'asks' | 'byFormat' | 'parts'> & { readonly why: string }

const wholeOrNot = { bones: { to: 6, pull: 1, why: 'small bones give way' }, thickness: { pull: 0 } } as const
const keptInAcid: StyleEntry = {
  why: 'fried, then kept in sour liquor',
  asks: {
    flavour: band(3.5, 8.5, 3, 'acid and onion want a fish that answers'),
    fat: band(3, 18, 3, 'fat rounds the sourness'),
    cohesion: from(3.1, 3, 'it must stay a piece in its liquor for days', 1.1),
    firmness: band(4, 8, 2, 'acid tightens it further; mush stays mush'),
    thickness: upTo(24, 1, 'thin enough for the acid to reach the middle'),
    bones: upTo(4.5, 1, 'acid softens small bones'),
  },
  byFormat: { whole: wholeOrNot },
}

/**
 * Ways within a way of cooking that ask for another fish. What is not here is the method's own table: the usual style. Each number stands
 * beside its reason, as in the table of methods.
 */
export const STYLE_TABLE: { readonly [M in Method]?: { readonly [S in Style]?: StyleEntry } } = {
  'pan-sear': { 'kept-in-acid': keptInAcid },
  'shallow-fry': { 'kept-in-acid': keptInAcid },
  'deep-fry': { 'kept-in-acid': keptInAcid },
  poach: {
    oil: {
      why: 'poached under oil, low and slow',
      asks: {
        cohesion: from(5.6, 4, 'it is lifted out whole, or keeps for days under its oil', 2.4),
        firmness: band(5.5, 9, 3, 'dense flesh turns silky, soft flesh dissolves'),
        flake: upTo(8, 1, 'it should part under a fork, not in the pan'),
        thickness: from(22, 2, 'gentle heat needs a thick piece'),
        tolerance: from(3, 1, 'the heat is low, the time long'),
        flavour: band(1.5, 7, 1, 'oil carries most flavours'),
        bones: upTo(1.5, 3, 'a neat piece has none'),
      },
      byFormat: { whole: { bones: { to: 5, pull: 1 }, thickness: { pull: 0 } }, steak: { bones: { to: 4, pull: 1 } } },
    },
  },
  raw: {
    rolled: {
      why: 'sliced thin and rolled or laid round something',
      asks: {
        firmness: upTo(7, 3, 'a slice must bend without cracking'),
        rawBite: ask(4.5, 8.5, 4, 'tender to the bite, yet it holds its edge', { from: 3 }),
        fat: band(2.5, 20, 3, 'fat makes it supple'),
        flavour: band(1, 5.5, 2, 'rice and acid ask for a clean taste'),
        bones: upTo(0.8, 5, 'not one', 4),
      },
    },
    'cubes-in-acid': {
      why: 'cubed and turned in citrus',
      asks: {
        rawBite: from(5.5, 4, 'cubes must keep their corners in the juice', 3),
        firmness: band(4.5, 8, 3, 'acid firms it; soft flesh turns to paste'),
        fat: upTo(6, 3, 'oil dulls the juice'),
        flavour: upTo(4, 3, 'clean, so that citrus speaks'),
        cohesion: from(4.4, 2, 'flakes fall apart as they are stirred'),
        bones: upTo(0.8, 5, 'not one', 4),
        colour: { wanted: ['white', 'ivory'], pull: 1, why: 'it turns white and should stay so' },
      },
    },
    chopped: {
      why: 'chopped with a knife and seasoned',
      asks: {
        rawBite: from(4.5, 3, 'it must be cut, not smeared', 3),
        fat: band(2, 20, 3, 'fat binds and rounds it'),
        flavour: band(1.5, 6.5, 2, 'some taste of its own under the seasoning'),
        flake: upTo(6, 1, 'large wet flakes go to mush'),
        bones: upTo(0.8, 5, 'not one', 4),
      },
    },
  },
  cure: {
    quick: {
      why: 'an hour’s salt, to firm and season',
      asks: {
        rawBite: from(5, 4, 'it is sliced and eaten nearly raw', 3),
        flavour: band(1.5, 6.5, 2, 'a short salt hides nothing'),
        fat: band(1, 18, 1, 'lean or fat, but not dry'),
        firmness: band(4, 8, 2, 'salt firms it a little, not much'),
        thickness: from(12, 1, 'thin flesh is salted through in minutes'),
        bones: upTo(1, 4, 'sliced across, every bone shows'),
      },
      byFormat: { whole: { bones: { to: 5, pull: 1 }, thickness: { pull: 0 } } },
    },
    sour: {
      why: 'salted, then kept in vinegar',
      asks: {
        fat: band(5, 22, 4, 'fat stands against the vinegar'),
        flavour: band(4, 9, 3, 'a strong fish is tamed, a mild one drowned'),
        thickness: upTo(18, 3, 'thin enough for the acid to go through'),
        firmness: band(3, 7, 1, 'acid sets it'),
        weight: upTo(500, 1, 'small fish pickle through'),
        bones: upTo(5, 1, 'acid softens small bones'),
      },
      byFormat: { whole: wholeOrNot },
    },
    'dry-salt': {
      why: 'dry-salted for keeping; soaked and cooked later',
      asks: {
        fat: upTo(2.5, 5, 'fat turns rancid in months of salt'),
        flake: from(6, 4, 'soaked again, it should open in large leaves'),
        flavour: upTo(4, 2, 'salt makes the taste; the fish must take it'),
        firmness: band(4, 8, 2, 'salt and drying firm it'),
        collagen: from(3, 1, 'gelatine is what binds it with oil'),
        thickness: from(16, 2, 'thick sides soak back juicy'),
        bones: upTo(3, 1, 'bones are drawn after soaking'),
        colour: { wanted: ['white', 'ivory'], pull: 1, why: 'white sides are the sign of a good salting' },
      },
      byFormat: { whole: { bones: { to: 5, pull: 1 }, thickness: { pull: 0 } } },
    },
    ripened: {
      why: 'salted small and whole, and ripened for months',
      asks: {
        flavour: from(6, 4, 'months deepen what is there'),
        fat: band(3, 22, 4, 'fat turns tender and rich'),
        weight: upTo(350, 3, 'small fish ripen evenly, guts and all'),
        bones: upTo(6.5, 1, 'hair bones melt'),
      },
    },
    'air-dried': {
      why: 'a loin salted and dried in moving air, sliced thin',
      asks: {
        firmness: from(6.5, 4, 'it must dry to something that is carved'),
        flake: upTo(3, 3, 'dense flesh cuts thin; flakes crumble'),
        cohesion: from(6.9, 3, 'a slice must hold together'),
        fat: band(0.5, 8, 2, 'lean enough to dry, not so fat that it turns'),
        flavour: band(2, 6.5, 2, 'drying multiplies it'),
        thickness: from(25, 3, 'a thick loin keeps a tender middle'),
        bones: upTo(0.8, 4, 'not one in a thin slice'),
      },
      parts: { first: ['loin'], why: 'a loin dries evenly' },
    },
  },
  smoke: {
    lean: {
      why: 'lean fish lightly salted and smoked, to be cooked',
      asks: {
        fat: upTo(4, 4, 'lean flesh takes salt and smoke cleanly'),
        flake: from(5.5, 4, 'poached later, it should fall in large flakes'),
        flavour: upTo(4.5, 2, 'mild under the smoke'),
        firmness: band(3.5, 7.5, 2, 'it firms as it dries'),
        cohesion: from(3, 1, 'it hangs or lies on a rack'),
        bones: upTo(3, 1, 'bones are drawn after smoking'),
        colour: { wanted: ['white', 'ivory'], pull: 1, why: 'white flesh under the smoke' },
      },
      byFormat: { whole: { bones: { to: 6, pull: 1 } } },
    },
  },
  mince: {
    bound: {
      why: 'flaked or minced and bound with potato or crumb',
      asks: {
        flavour: upTo(5.5, 2, 'potato and herbs want a fish that is not rank'),
        flake: from(4, 3, 'flakes should be met in the bite'),
        fat: upTo(14, 1, 'some fat is welcome, oil is not'),
        firmness: band(3, 7, 1, 'tender within the crust'),
        bones: upTo(1, 4, 'children eat it'),
        colour: { wanted: ['white', 'ivory', 'pink'], pull: 1, why: 'it shows at the cut' },
      },
      parts: { first: ['tail'], why: 'the tail is as good as any once it is flaked' },
    },
    chopped: {
      why: 'chopped by knife and pressed into a patty',
      asks: {
        firmness: from(5, 3, 'a patty wants bite'),
        flake: upTo(6, 2, 'dense flesh chops clean'),
        fat: band(2, 16, 3, 'a dry patty is a poor one'),
        binding: from(3.5, 2, 'it is held by little else'),
        flavour: band(2, 7, 2, 'it should taste of fish beside bread and pickle'),
        bones: upTo(0.8, 4, 'nobody looks for a bone in a patty'),
      },
      parts: { first: ['tail', 'belly'], why: 'tail and belly give fat and sinew for less' },
    },
    dark: {
      why: 'dark, strong balls or cakes, well seasoned',
      asks: {
        flavour: from(5, 4, 'it has to come through ginger and bean paste'),
        fat: band(2, 18, 2, 'oily flesh stays tender'),
        binding: from(4, 2, 'starch helps, the fish must do its part'),
        bones: upTo(2.5, 1, 'hair bones are milled'),
        colour: { wanted: ['dark', 'grey', 'tan', 'red'], pull: 1, why: 'dark flesh is expected' },
      },
      parts: { first: ['tail'], why: 'the tail is as good as any once it is minced' },
    },
  },
}

/** The style that the table of methods is written for, where a method has several. */
const USUAL_STYLE: { readonly [M in Method]?: Style } = {
  ...{ 'pan-sear': 'now', 'shallow-fry': 'now', 'deep-fry': 'now', poach: 'liquor' },
  ...{ raw: 'slices', cure: 'sweet-dry', smoke: 'rich', mince: 'paste' },
}
/** The styles of a method, the usual one first; none where it has but one. */
export function listStyles(method: Method): readonly Style[] {
  const usual = USUAL_STYLE[method]
  return usual ? [usual, ...(Object.keys(STYLE_TABLE[method] ?? {}) as Style[])] : []
}

/** What a way of cooking asks in a style, and the parts it names: the style's own table where it has one. */
export const readAskTable = ({
  method,
  style,
}: {
  readonly method: Method
  readonly style?: Brief['style'] | null
}): Omit<StyleEntry, 'why'> => (style ? STYLE_TABLE[method]?.[style] : undefined) ?? METHOD_TABLE[method]
