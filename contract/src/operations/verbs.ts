import { question } from './operation.ts'

const computed = { method: 'POST', scope: 'verb', study: true } as const

/** The engine's verbs, over HTTP as on the command line, on a kitchen's prices, years and stocks. */
export const verbs = {
  lineUp: question({ ...computed, path: '/line-up', summary: 'Rank fish for a dish', input: 'Brief', output: 'LineUp' }),
  standIns: question({
    ...computed,
    path: '/stand-ins',
    summary: 'Find stand-ins for a missing fish',
    input: 'StandInsRequest',
    output: 'StandIns',
  }),
  swapMap: question({
    ...computed,
    path: '/swap-map',
    summary: 'Which fish stand in for which in a dish',
    input: 'Brief',
    output: 'SwapMap',
  }),
  year: question({ ...computed, path: '/year', summary: 'A dish over the year, month by month', input: 'Brief', output: 'YearOfDish' }),
  turningPoints: question({
    ...computed,
    path: '/turning-points',
    summary: 'What would change a line-up',
    input: 'TurningRequest',
    output: 'TurningPoints',
  }),
  pot: question({ ...computed, path: '/pot', summary: 'Several fish for one pot', input: 'PotRequest', output: 'PotPlan' }),
  amounts: question({
    ...computed,
    path: '/amounts',
    summary: 'How much of a fish to buy for a dish',
    input: 'AmountsRequest',
    output: 'Amounts',
  }),
  freshness: question({
    ...computed,
    path: '/freshness',
    summary: 'How old a fish is by its looks, and whether to buy it',
    input: 'FreshnessRequest',
    output: 'Freshness',
  }),
  cold: question({
    ...computed,
    path: '/cold',
    summary: 'How long a fish will keep after how it was kept, and the ice for a journey',
    input: 'ColdRequest',
    output: 'Cold',
  }),
  learn: question({
    ...computed,
    path: '/learn',
    summary: 'What a house learns from what happened: traits, yields, merchants, swaps, and what it cares about',
    input: 'LearnRequest',
    output: 'Learnt',
  }),
  cook: question({
    ...computed,
    path: '/cook',
    summary: 'How a fish is cooked for a dish: minutes, when to take it out, what to look for',
    input: 'CookRequest',
    output: 'Cook',
  }),
  conduct: question({
    ...computed,
    path: '/conduct',
    summary: 'Transient conduction in one body of constant properties',
    input: 'ConductRequest',
    output: 'Conducted',
  }),
  fishFirst: question({
    ...computed,
    path: '/fish-first',
    summary: 'Dishes and methods for fish that were seen',
    input: 'FishFirstRequest',
    output: 'FishFirst',
  }),
  find: question({
    ...computed,
    path: '/find',
    summary: 'A fish by any name it is sold under',
    input: 'FindRequest',
    output: 'FoundNames',
  }),
}
