import type { Stock } from '@tender-gill/contract'

export type StockPart = 'biomassRatio' | 'pressureRatio' | 'gearScore' | 'managementScore' | 'feed' | 'escapes' | 'disease' | 'discharge'
export interface PartField {
  readonly part: StockPart
  readonly label: string
  readonly hint: string
  readonly most: number
}

const WILD: readonly PartField[] = [
  { part: 'biomassRatio', label: 'How much is left', hint: 'of its target: 1 is on target, under 0.3 it is left alone', most: 10 },
  { part: 'pressureRatio', label: 'Fishing pressure', hint: 'of its reference: 0.8 and less is light, 1.6 far too much', most: 10 },
  { part: 'gearScore', label: 'What the gear does', hint: '0 to 100: bed and other animals spared', most: 100 },
  { part: 'managementScore', label: 'How it is managed', hint: '0 to 100: limits set, kept and watched', most: 100 },
]
const FARM: readonly PartField[] = [
  { part: 'feed', label: 'Feed', hint: '0 to 100: little wild fish in it', most: 100 },
  { part: 'escapes', label: 'Escapes', hint: '0 to 100: none', most: 100 },
  { part: 'disease', label: 'Disease', hint: '0 to 100: healthy, little treated', most: 100 },
  { part: 'discharge', label: 'Discharge', hint: '0 to 100: clean water leaves it', most: 100 },
]
export const partsOf = ({ origin }: Stock): readonly PartField[] => (origin === 'farmed' ? FARM : WILD)

/** The stock with one part of its evidence set, or with nothing known of it. */
export function setPart(stock: Stock, part: StockPart, value: number | undefined, year: number): Stock {
  const { [part]: before, ...rest } = stock
  return value === undefined ? rest : { ...rest, [part]: { value, year: before?.year ?? year } }
}

export function setYear(stock: Stock, part: StockPart, year: number | undefined): Stock {
  const evidence = stock[part]
  if (!evidence) return stock
  return { ...stock, [part]: year === undefined ? { value: evidence.value } : { ...evidence, year } }
}

/** The stock with its water or its gear as typed; emptied, it is any. */
export function setPlace(stock: Stock, key: 'water' | 'gear', text: string): Stock {
  const { [key]: _before, ...rest } = stock
  return text.trim() === '' ? rest : { ...rest, [key]: text.trimStart() }
}
