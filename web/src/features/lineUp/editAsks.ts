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

/** The brief with the band of one ask a bound that nothing buys back, or a wish again; the method's own bound stays either way. */
export function withMust(brief: Brief, key: BandKey, on: boolean): Brief {
  const { must: _was, ...ask } = brief.asks?.[key] ?? {}
  return { ...brief, asks: { ...brief.asks, [key]: on ? { ...ask, must: true } : ask } }
}
