/** The offers a question is answered from: of which kitchen and day, under which name, and which day it is there. */
export interface SheetRef {
  /** Names exactly these offers. */
  readonly name: string
  readonly kitchenId: string
  readonly date: string
  readonly snapshot: string
  /** The kitchen's calendar day, whatever day the offers are of. */
  readonly today: string
}

export const createSheetRef = (kitchen: { readonly id: string; readonly today: string }, date: string, snapshot: string): SheetRef => ({
  name: `${kitchen.id}|${date}|${snapshot}|${kitchen.today}`,
  kitchenId: kitchen.id,
  date,
  snapshot,
  today: kitchen.today,
})
