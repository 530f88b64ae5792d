import type {
  Allergen,
  AskedPart,
  Brief,
  CookedColour,
  Diners,
  Format,
  Habitat,
  Kind,
  Method,
  Problem,
  Spend,
  Style,
} from '@tender-gill/contract'
import { stylesOf } from '@tender-gill/contract/vocabulary'
import { parseBrief } from '@tender-gill/contract/browser'
import { readTyped, type Scale } from '../../typed/index.ts'

/** The form as typed: every number a text, so that nothing a person typed is lost or bent. */
export interface BriefForm {
  dish: string
  method: Method
  format: Format
  thicknessMm: string
  covers: string
  portionG: string
  portionBasis: 'raw' | 'cooked'
  children: string
  pregnant: string
  elderly: string
  immunocompromised: string
  boneShy: boolean
  newToWholeFish: boolean
  dislikesStrongFish: boolean
  finsAndScales: boolean
  portionsAWeek: string
  allergies: Allergen[]
  /** Not said where empty: then the house's leaning counts, or the usual. So with the four below. */
  doneness: 'set' | 'moist' | 'rare' | ''
  skin: 'crisp' | 'off' | 'any' | ''
  seasoning: 'gentle' | 'balanced' | 'bold' | ''
  longCooking: boolean
  smokeHeat: 'hot' | 'cold'
  /** Empty where the method has but one. */
  style: Style | ''
  servedAs: 'raw' | 'cooked'
  wholeServes: string
  spend: Spend
  spendMust: boolean
  habitat: Habitat | 'any'
  part: AskedPart | 'any'
  /** Colours the flesh may have when it is cooked; any where none is said. */
  colours: CookedColour[]
  coloursMust: boolean
  /** Animals beside fish that may answer. */
  shellfish: Kind[]
  origin: 'wild' | 'farmed' | 'any' | ''
  state: 'fresh' | 'frozen' | 'any' | ''
  rawTreatment: 'none' | 'frozen'
  keepHours: string
  keepTempC: string
  budget: string
  menuPrice: string
  budgetMust: boolean
  /** ISO date, or nothing where no day is set yet. */
  date: string
  /** One water whose year is counted; nothing where the season is not. */
  waters: string
}

/** Between the names of waters in one field. */
export const WATERS_APART = '|'

const show = (n: number | null | undefined) => (n === null || n === undefined ? '' : String(n))
const heads = (n: number | undefined) => (n ? String(n) : '')

export function toForm(brief: Brief): BriefForm {
  const { diners = {} } = brief
  return {
    dish: brief.dish,
    method: brief.method,
    format: brief.format,
    thicknessMm: show(brief.thicknessMm),
    covers: show(brief.covers ?? 1),
    portionG: show(brief.portionG ?? 150),
    portionBasis: brief.portionBasis ?? 'cooked',
    children: heads(diners.children),
    pregnant: heads(diners.pregnant),
    elderly: heads(diners.elderly),
    immunocompromised: heads(diners.immunocompromised),
    boneShy: diners.boneShy ?? false,
    newToWholeFish: diners.newToWholeFish ?? false,
    dislikesStrongFish: diners.dislikesStrongFish ?? false,
    finsAndScales: diners.finsAndScales ?? false,
    portionsAWeek: show(diners.portionsAWeek),
    allergies: [...(diners.allergies ?? [])],
    doneness: brief.doneness ?? '',
    skin: brief.skin ?? '',
    seasoning: brief.seasoning ?? '',
    longCooking: brief.longCooking ?? false,
    smokeHeat: brief.smokeHeat ?? 'hot',
    style: brief.style ?? stylesOf(brief.method)[0] ?? '',
    servedAs: brief.servedAs ?? 'raw',
    spend: brief.spend ?? 'any',
    spendMust: brief.spendMust ?? false,
    habitat: brief.habitat ?? 'any',
    part: brief.part ?? 'any',
    colours: [...(brief.colour?.wanted ?? [])],
    coloursMust: brief.colour?.must ?? false,
    shellfish: (brief.kinds ?? []).filter((kind) => kind !== 'fish'),
    wholeServes: brief.wholeServes === null ? '' : show(brief.wholeServes ?? 1),
    origin: brief.origin ?? '',
    state: brief.state ?? '',
    rawTreatment: brief.rawTreatment ?? 'none',
    keepHours: show(brief.keep?.hours),
    keepTempC: show(brief.keep?.tempC),
    budget: show(brief.budget?.perPortion),
    menuPrice: show(brief.menuPrice?.perPortion),
    budgetMust: brief.budget?.must ?? false,
    date: brief.date ?? '',
    waters: Array.isArray(brief.waters) ? brief.waters.join(WATERS_APART) : (brief.waters ?? ''),
  }
}

/** A typed number as JSON has it: nothing when empty; the text itself when it is none, so that the schema names the place. */
const number = (text: string, scale: Scale = {}): unknown => {
  const typed = readTyped(text, scale)
  return typed.kind === 'none' ? undefined : typed.kind === 'number' ? typed.value : text
}
const countOf = (text: string): unknown => number(text, { whole: true })
const drop = (fields: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined && value !== false))

/** Styles that are made to be soaked or poached before they are eaten. */
export const isCookedLater = (style: BriefForm['style']): boolean => style === 'dry-salt' || style === 'lean'

/** Whether anything of the dish is cooked, so that raw and cooked weight are two. */
export const asksWeighing = (method: Method): boolean => method !== 'raw'
/** Whether there is a doneness to choose: not of what is not cooked, nor of what is boiled out. */
export const asksDoneness = (method: Method): boolean => method !== 'raw' && method !== 'cure' && method !== 'broth'

/** Whether a way of cooking serves fish that may be raw, so that its treatment before is asked. */
export const asksRawTreatment = (method: Method): boolean => method === 'raw' || method === 'cure' || method === 'smoke'

/** Whether a way of cooking may be eaten raw or be heated before it is eaten. */
export const asksServedAs = ({ method, smokeHeat }: Pick<BriefForm, 'method' | 'smokeHeat'>): boolean =>
  method === 'cure' || (method === 'smoke' && smokeHeat === 'cold')

/** What a brief says beyond what the form shows. */
function withoutShown(brief: Partial<Brief>): Partial<Brief> {
  const { thicknessMm: _t, wholeServes: _w, keep: _k, budget: _b, menuPrice: _u, longCooking: _l, date: _d, waters: _a, ...rest } = brief
  const { doneness: _o, skin: _s, seasoning: _e, origin: _r, state: _f, smokeHeat: _h, rawTreatment: _p, ...more } = rest
  const { style: _y, servedAs: _v, spend: _n, spendMust: _m, habitat: _i, part: _q, colour: _c, kinds, ...kept } = more
  // A dish of shellfish alone is more than the form says.
  return kinds && !kinds.includes('fish') ? { ...kept, kinds } : kept
}

/** The brief a form stands for, over what the form does not show. May not be valid yet. */
export function fromForm(form: BriefForm, before: Partial<Brief>, currency: string): unknown {
  const { children, pregnant, elderly, immunocompromised, boneShy, newToWholeFish, dislikesStrongFish, finsAndScales, allergies } = form
  const diners = drop({
    children: countOf(children),
    pregnant: countOf(pregnant),
    elderly: countOf(elderly),
    immunocompromised: countOf(immunocompromised),
    boneShy,
    newToWholeFish,
    dislikesStrongFish,
    finsAndScales,
    portionsAWeek: number(form.portionsAWeek),
    allergies: allergies.length > 0 ? allergies : undefined,
  }) as Diners
  const kept = withoutShown(before)
  return {
    ...kept,
    ...drop({
      dish: form.dish.trim(),
      method: form.method,
      format: form.format,
      // What the chosen cut and way of cooking do not ask keeps no value that counts.
      thicknessMm: form.format === 'whole' ? undefined : number(form.thicknessMm),
      // Emptied is not one: it is asked for.
      covers: countOf(form.covers) ?? '',
      portionG: number(form.portionG),
      portionBasis: asksWeighing(form.method) ? form.portionBasis : 'raw',
      doneness: (asksDoneness(form.method) && form.doneness) || undefined,
      skin: form.skin || undefined,
      seasoning: form.seasoning || undefined,
      longCooking: form.longCooking,
      smokeHeat: form.method === 'smoke' ? form.smokeHeat : undefined,
      // The usual style need not be said.
      style: form.style !== '' && stylesOf(form.method).indexOf(form.style) > 0 ? form.style : undefined,
      servedAs: form.servedAs === 'cooked' && asksServedAs(form) ? form.servedAs : undefined,
      spend: form.spend === 'any' ? undefined : form.spend,
      spendMust: form.spend !== 'any' && form.spendMust,
      habitat: form.habitat === 'any' ? undefined : form.habitat,
      part: form.part === 'any' ? undefined : form.part,
      colour: form.colours.length > 0 ? { ...before.colour, wanted: form.colours, must: form.coloursMust } : undefined,
      kinds: form.shellfish.length > 0 && !kept.kinds ? ['fish', ...form.shellfish] : undefined,
      origin: form.origin || undefined,
      state: form.state || undefined,
      rawTreatment: asksRawTreatment(form.method) ? form.rawTreatment : undefined,
      date: form.date === '' ? undefined : form.date,
      waters: form.waters === '' ? undefined : form.waters.split(WATERS_APART),
      keep: form.keepHours.trim() === '' ? undefined : { hours: number(form.keepHours), tempC: number(form.keepTempC) ?? 4 },
      menuPrice:
        form.menuPrice.trim() === '' ? undefined : { perPortion: number(form.menuPrice), currency: before.menuPrice?.currency ?? currency },
      budget:
        form.budget.trim() === ''
          ? undefined
          : { perPortion: number(form.budget), currency: before.budget?.currency ?? currency, must: form.budgetMust },
    }),
    ...(form.format === 'whole' ? { wholeServes: form.wholeServes.trim() === '' ? null : number(form.wholeServes) } : {}),
    diners,
  }
}

/** Where a problem's place shows on the form. */
const FIELD_OF: Record<string, keyof BriefForm> = {
  '/keep/hours': 'keepHours',
  '/keep/tempC': 'keepTempC',
  '/budget/perPortion': 'budget',
  '/menuPrice/perPortion': 'menuPrice',
  '/colour': 'colours',
  '/diners': 'covers',
  '/diners/children': 'children',
  '/diners/pregnant': 'pregnant',
  '/diners/elderly': 'elderly',
  '/diners/immunocompromised': 'immunocompromised',
  '/diners/portionsAWeek': 'portionsAWeek',
}
export const fieldOf = (path: string): keyof BriefForm | undefined =>
  FIELD_OF[path] ?? (/^\/(\w+)$/.exec(path)?.[1] as keyof BriefForm | undefined)

/** The brief, or every problem with its place. */
export const readForm = (
  form: BriefForm,
  before: Partial<Brief>,
  currency: string,
): { ok: true; value: Brief } | { ok: false; error: readonly Problem[] } => parseBrief(fromForm(form, before, currency))

export const EMPTY: BriefForm = toForm({ dish: '', method: 'pan-sear', format: 'portion', covers: 4 })
