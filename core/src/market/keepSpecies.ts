import { createFindSpecies } from '../brief/index.ts'
import type { ChosenSheet } from './keepOffered.ts'

/** The offers of one fish, by any name of it: judged as among all of the day, without judging all of them. */
export function keepSpecies(sheet: ChosenSheet, name: string): ChosenSheet {
  const whole = sheet.chosenFrom ?? sheet
  const species = createFindSpecies(whole.offers)(name)
  return { ...sheet, offers: sheet.offers.filter((offer) => offer.species === species), chosenFrom: whole }
}
