/** Several fish together, what is good today, and what happened to decisions. */
export const DAY_PARAMS = {
  // Several fish together.
  'pot.too-few': ['fish', 'wanted'],
  'pot.unfilled': ['roles'],
  'pot.none': [],
  'pot.held-out': ['fish', 'gate'],
  'pot.held-out.opens': ['fish', 'gate', 'open'],

  // What is good today.
  'slab.price.usual': [],
  'slab.price.below': ['share'],
  'slab.price.above': ['share'],
  'slab.flesh.good': [],
  'slab.flesh.spent': [],
  'slab.flesh.thin': [],
  'slab.stock': ['standing'],

  // What happened to decisions.
  'alert.closed': ['fish', 'gate'],
  'alert.over-budget': ['fish', 'budget', 'rise'],
  'alert.lost-lead': ['fish', 'leader'],
  'alert.lost-lead.dearer': ['fish', 'leader', 'rise'],
  'alert.dearer': ['fish', 'rise'],
  'alert.rise': ['was', 'now'],
} as const
