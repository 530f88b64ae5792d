/** A fish that is looked at, how it was kept, and how long it lasts. */
export const KEEPING_PARAMS = {
  // A fish that is looked at.
  'look.level': ['level'],
  'look.sign': ['sign', 'level'],
  'look.buy': ['age', 'low', 'high', 'left', 'sure'],
  'look.today': ['age', 'low', 'high', 'left', 'sure'],
  'look.ask-for-less': ['age', 'low', 'high', 'left', 'sure'],
  'look.walk-away.old': ['age', 'low', 'high', 'left', 'sure'],
  'look.walk-away.veto': ['signs'],
  'look.walk-away.refused': [],
  'look.walk-away.vulnerable': [],

  // How a fish was kept.
  'cold.left': ['left', 'low', 'high'],
  'cold.spent': ['days', 'doubt'],
  'cold.stop': [],
  'cold.histamine.stop': [],
  'cold.unknown': ['temperature'],
  'cold.doubtful': [],

  // Fish in the house.
  'lot.fine': ['left', 'low', 'high'],
  'lot.doubtful': ['dishes', 'left', 'low', 'high'],
  'lot.late': ['dishes', 'left', 'low', 'high'],
  'lot.use-first': ['left', 'low', 'high'],
  'lot.use-now': ['left', 'low', 'high', 'look'],
  'lot.freeze': ['dishes', 'left', 'low', 'high'],
  'lot.frozen': [],
  'lot.throw.histamine': [],
  'lot.throw.spent': [],
  'place.warm': ['place', 'hottest', 'limit', 'time'],
  'place.was-warm': ['place', 'hottest', 'limit', 'time'],
  'place.silent': ['place', 'time'],
} as const
