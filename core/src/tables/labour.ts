import type { Form, Format } from '@tender-gill/contract'

/**
 * Minutes a practised hand needs for a kilogram of each form until it is ready for the pan, scaling, gutting, filleting, drawing of bones,
 * skinning and cutting together. Compiled; a house that works slower sets a higher rate.
 */
export const MINUTES_PER_KG: Readonly<Record<Form, number>> = {
  whole: 9,
  gutted: 7,
  steak: 1,
  'fillet-skin-on': 3,
  'fillet-skinless': 2,
  loin: 1.5,
  frame: 1,
}
/** The same of a fish that is cooked whole: scaled, gutted and dried. Compiled. */
export const MINUTES_PER_KG_WHOLE: Readonly<Partial<Record<Form, number>>> = { whole: 5, gutted: 2 }

/** What one looks at to judge how fresh a form is: the more of it, the surer. */
export const SEEN_OF_FORM: Readonly<Record<Form, string>> = {
  whole: 'eyes, gills, skin, belly and spring',
  gutted: 'eyes, gills, skin and spring',
  steak: 'surface, smell and the blood along the spine',
  'fillet-skin-on': 'surface, smell, gaping and skin',
  'fillet-skinless': 'surface, smell and gaping',
  loin: 'surface, colour and smell',
  frame: 'smell and colour',
}

/** Minutes for a kilogram of a form, for a cut. */
export const minutesPerKg = (form: Form, format: Format): number =>
  (format === 'whole' ? MINUTES_PER_KG_WHOLE[form] : undefined) ?? MINUTES_PER_KG[form]
