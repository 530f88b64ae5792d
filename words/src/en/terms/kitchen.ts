import type { Terms } from '../../terms.ts'

/** What a piece lies in while it cooks, and what is done to it before. */
export const KITCHEN_TERMS: Pick<Terms, 'medium' | 'window'> = {
  medium: {
    pan: 'pan',
    'lidded-pan': 'pan under a lid',
    'shallow-fat': 'hot fat up its side',
    'hot-pan-in-oven': 'its pan in the oven',
    'oven-fan': 'fan oven',
    oven: 'oven without a fan',
    steam: 'steam',
    'wrapped-steam': 'wrapped, in steam',
    water: 'water or broth',
    'covered-sauce': 'sauce under a lid',
    bath: 'bath, in a bag',
    'deep-fat': 'deep fat',
    'deep-fat-battered': 'deep fat, in batter',
    charcoal: 'charcoal',
    broiler: 'under the broiler',
    'rest-board': 'rest on a board',
    'rest-foil': 'rest under foil',
    'rest-plate': 'rest on a warm plate',
  },
  window: {
    soak: 'Freshening soak',
    'dry-salt': 'Dry salting',
    brine: 'Brine',
    'sweet-salt': 'Salty-sweet marinade',
    sour: 'Sour marinade',
    milk: 'Milk',
    cure: 'Cure',
  },
}
