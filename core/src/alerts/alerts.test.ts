import type { Brief, OfferSheet, Price } from '@tender-gill/contract'
import type { DecisionAlert } from '../facts/index.ts'
import { describe, expect, it } from 'vitest'
import { createFindSpecies } from '../brief/index.ts'
import { rankLineUp } from '../lineUp/index.ts'
import { applyMarket } from '../market/index.ts'
import { buildBrief, buildOffer, buildSheet, TODAY } from '../testing/builders.ts'
import { stepAlerts } from './index.ts'
import { told } from '../testing/told.ts'

const OFFERS = [buildOffer('Piscis unus'), buildOffer('Piscis duo', { flesh: { cohesion: 4, tolerance: 5 }, common: 'Other' })]
const quote = (species: string, price: number): Price => ({
  species,
  form: 'fillet-skin-on',
  price,
  currency: 'EUR',
  unit: 'kg',
  date: TODAY,
})
const priced = (unus: number, duo: number): OfferSheet => {
  const market = { prices: [quote('Piscis unus', unus), quote('Piscis duo', duo)] }
  return buildSheet(...applyMarket(OFFERS, market, { date: TODAY, waters: null, findSpecies: createFindSpecies(OFFERS) }))
}
const choice = { species: 'Piscis unus', offerId: 'piscis-unus.wild.fresh.body', form: 'fillet-skin-on' } as const
const BRIEF: Partial<Brief> = { format: 'fillet-skin-on', method: 'pan-sear', budget: { perPortion: 5, currency: 'EUR' } }

function alertsOf(now: OfferSheet, { then = priced(15, 20), brief = BRIEF }: { then?: OfferSheet; brief?: Partial<Brief> } = {}) {
  const asked = buildBrief(brief)
  const lineUp = rankLineUp(asked, then, { today: TODAY })
  if (!lineUp.ok) throw new Error(JSON.stringify(lineUp.error))
  const [leader] = lineUp.value.ranked
  expect(leader?.species).toBe('Piscis unus')
  const standing = { leader: leader?.species ?? null, portionCost: leader?.portionCost ?? null }
  const steps = stepAlerts([{ kept: { id: 'pan', revision: 1, brief: asked, choice }, choice, then: standing }], {
    today: TODAY,
    sheetOf: () => now,
  })
  let step: IteratorResult<number, DecisionAlert[]> = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}

describe('what happened to a decision', () => {
  it('is nothing while the day is as it was', () => {
    expect(alertsOf(priced(15, 20))).toEqual([])
    expect(alertsOf(priced(15.2, 20))).toEqual([])
  })

  it('is that one fish of a pot is closed, whichever it is', () => {
    const closed = buildSheet(
      ...priced(15, 20).offers.map((offer) =>
        offer.species === 'Piscis duo' ? { ...offer, absent: { until: TODAY, because: null } } : offer,
      ),
    )
    const beside = { species: 'Piscis duo', offerId: 'piscis-duo.wild.fresh.body', form: 'fillet-skin-on' } as const
    const pot = { ...choice, beside: [beside] }
    const steps = stepAlerts(
      [{ kept: { id: 'pot', revision: 1, brief: buildBrief(BRIEF), choice: pot }, choice: pot, then: { leader: null, portionCost: null } }],
      {
        today: TODAY,
        sheetOf: () => closed,
      },
    )
    let step: IteratorResult<number, DecisionAlert[]> = steps.next()
    while (!step.done) step = steps.next()
    expect(step.value).toMatchObject([{ kind: 'gone', common: 'Other' }])
  })

  it('is that another fish leads once its price has passed the turning point', () => {
    const [alert, ...more] = alertsOf(priced(30, 14), {
      brief: { ...BRIEF, budget: { perPortion: 12, currency: 'EUR' } },
      then: priced(15, 20),
    })
    expect(more).toEqual([])
    // Both are within that budget: it stays first, and is only dearer.
    expect(alert).toMatchObject({ kind: 'dearer', servingId: 'pan', common: 'Piscis' })
    expect(alertsOf(priced(40, 14))[0]?.kind).toBe('over-budget')
    const lost = alertsOf(priced(48, 8), { then: priced(24, 26), brief: { ...BRIEF, budget: { perPortion: 4, currency: 'EUR' } } })
    expect(lost[0]).toMatchObject({ kind: 'lost-lead', leaderNow: 'Other' })
    expect(told(lost)[0]?.sentence).toContain('a portion when it was taken')
  })

  it('is that it is closed, below the floor, or missing, before anything about money', () => {
    const change = (patch: object): OfferSheet => {
      const sheet = priced(40, 14)
      return { ...sheet, offers: sheet.offers.map((offer) => (offer.species === 'Piscis unus' ? { ...offer, ...patch } : offer)) }
    }
    const shut = { water: 'Here', landings: 1, condition: null, closed: true }
    expect(alertsOf(change({ season: shut }), { brief: { ...BRIEF, waters: ['Here'] } })[0]?.kind).toBe('closed')
    expect(alertsOf(change({ absent: { until: TODAY, because: null } }))[0]?.kind).toBe('gone')
    const spent = { low: 1, typical: 5, high: 9, weakest: 'biomass', confidence: 1, spent: true }
    expect(alertsOf(change({ stock: spent }))[0]?.kind).toBe('below-floor')
  })

  it('passes over dishes of days gone by', () => {
    expect(alertsOf(priced(40, 14), { brief: { ...BRIEF, date: '2026-06-12' } })).toEqual([])
  })
})
