import type { AskInput, BandKey, Brief } from '@tender-gill/contract'

/** The brief with one ask changed by hand, and so on purpose, looser or tighter; the cost's upper end is the budget where there is one. */
export function withAsk(brief: Brief, key: BandKey, change: AskInput): Brief {
  const asks = { ...brief.asks, [key]: { ...brief.asks?.[key], ...change, loosens: true } }
  if (key !== 'portionCost' || !brief.budget || typeof change.to !== 'number') return { ...brief, asks }
  return { ...brief, asks, budget: { ...brief.budget, perPortion: change.to } }
}

/** The brief with one ask as the method has it. */
export function withoutAsk(brief: Brief, key: BandKey): Brief {
  const { [key]: _gone, ...asks } = brief.asks ?? {}
  return { ...brief, asks }
}
