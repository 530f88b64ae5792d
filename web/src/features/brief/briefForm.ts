import type { Allergen, Brief, Diners, Format, Method, Problem } from '@tender-gill/contract'
import { parseBrief } from '@tender-gill/contract/browser'

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
  allergies: Allergen[]
  doneness: 'set' | 'moist'
  skin: 'crisp' | 'off' | 'any'
  seasoning: 'gentle' | 'balanced' | 'bold'
  longCooking: boolean
  smokeHeat: 'hot' | 'cold'
  wholeServes: string
  origin: 'wild' | 'farmed' | 'any'
  state: 'fresh' | 'frozen' | 'any'
  rawTreatment: 'none' | 'frozen'
  keepHours: string
  keepTempC: string
  budget: string
  budgetMust: boolean
  /** ISO date, or nothing: every day. */
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
    allergies: [...(diners.allergies ?? [])],
    doneness: brief.doneness ?? 'set',
    skin: brief.skin ?? 'any',
    seasoning: brief.seasoning ?? 'balanced',
    longCooking: brief.longCooking ?? false,
    smokeHeat: brief.smokeHeat ?? 'hot',
    wholeServes: brief.wholeServes === null ? '' : show(brief.wholeServes ?? 1),
    origin: brief.origin ?? 'any',
    state: brief.state ?? 'any',
    rawTreatment: brief.rawTreatment ?? 'none',
    keepHours: show(brief.keep?.hours),
    keepTempC: show(brief.keep?.tempC),
    budget: show(brief.budget?.perPortion),
    budgetMust: brief.budget?.must ?? false,
    date: brief.date ?? '',
    waters: Array.isArray(brief.waters) ? brief.waters.join(WATERS_APART) : (brief.waters ?? ''),
  }
}

/** A typed number as JSON has it: nothing when empty; the text itself when it is no number, so that the schema names the place. */
const number = (text: string): unknown => {
  const trimmed = text.trim().replace(',', '.')
  if (trimmed === '') return undefined
  const value = Number(trimmed)
  return Number.isFinite(value) ? value : text
}
const drop = (fields: Record<string, unknown>) =>
  Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined && value !== false))

/** The brief a form stands for, over what the form does not show. May not be valid yet. */
export function fromForm(form: BriefForm, before: Partial<Brief>, currency: string): unknown {
  const { children, pregnant, elderly, immunocompromised, boneShy, newToWholeFish, dislikesStrongFish, allergies } = form
  const diners = drop({
    children: number(children),
    pregnant: number(pregnant),
    elderly: number(elderly),
    immunocompromised: number(immunocompromised),
    boneShy,
    newToWholeFish,
    dislikesStrongFish,
    allergies: allergies.length > 0 ? allergies : undefined,
  }) as Diners
  const { thicknessMm: _t, wholeServes: _w, keep: _k, budget: _b, longCooking: _l, date: _d, waters: _a, ...kept } = before
  return {
    ...kept,
    ...drop({
      dish: form.dish.trim(),
      method: form.method,
      format: form.format,
      thicknessMm: number(form.thicknessMm),
      covers: number(form.covers),
      portionG: number(form.portionG),
      portionBasis: form.portionBasis,
      doneness: form.doneness,
      skin: form.skin,
      seasoning: form.seasoning,
      longCooking: form.longCooking,
      smokeHeat: form.smokeHeat,
      origin: form.origin,
      state: form.state,
      rawTreatment: form.rawTreatment,
      date: form.date === '' ? undefined : form.date,
      waters: form.waters === '' ? undefined : form.waters.split(WATERS_APART),
      keep: form.keepHours.trim() === '' ? undefined : { hours: number(form.keepHours), tempC: number(form.keepTempC) ?? 4 },
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
  '/diners': 'children',
  '/diners/children': 'children',
  '/diners/pregnant': 'pregnant',
  '/diners/elderly': 'elderly',
  '/diners/immunocompromised': 'immunocompromised',
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
