import { FLESH_KEYS, type Problem, type SourceSpecies, type Triple } from '@tender-gill/contract'

/** Every range of a species with its place, as a JSON Pointer. */
export function listTriples(species: SourceSpecies): readonly (readonly [path: string, triple: Triple])[] {
  const found: [string, Triple | undefined][] = [
    ...FLESH_KEYS.map((key): [string, Triple] => [`/flesh/${key}`, species.flesh[key]]),
    ...Object.entries(species.bones).map(([cut, value]): [string, Triple] => [`/bones/${cut}`, value]),
    ['/weightG', species.weightG],
    ['/depthMm', species.depthMm],
    ['/protein', species.protein],
    ['/ash', species.ash],
    ['/carbohydrate', species.carbohydrate],
    ...species.offers.flatMap((offer, i): [string, Triple | undefined][] => [
      ...Object.entries(offer.flesh ?? {}).map(([key, value]): [string, Triple] => [`/offers/${i}/flesh/${key}`, value]),
      [`/offers/${i}/weightG`, offer.weightG],
      [`/offers/${i}/depthMm`, offer.depthMm],
    ]),
  ]
  return found.flatMap(([path, triple]) => (triple ? [[path, triple] as const] : []))
}

const isOrdered = ([low, typical, high]: Triple) => low <= typical && typical <= high

function checkRanges(species: SourceSpecies): readonly Problem[] {
  return listTriples(species)
    .filter(([, triple]) => !isOrdered(triple))
    .map(([path, triple]) => ({ path, message: `is not low, typical, high: ${triple.join(', ')}` }))
}

function checkOffers({ offers }: SourceSpecies): readonly Problem[] {
  const seen = new Set<string>()
  return offers.flatMap(({ origin, part = 'body', parasites, water = 'sea' }, i) => {
    const problems: Problem[] = []
    const key = `${origin} ${part}`
    if (seen.has(key)) problems.push({ path: `/offers/${i}`, message: `a second offer of ${key}` })
    seen.add(key)
    if (water !== 'sea' && parasites === 'controlled-feed')
      problems.push({ path: `/offers/${i}/parasites`, message: 'fish of fresh or unknown water is never bred for raw' })
    return problems
  })
}

/** 100 g cannot hold more than 100 g; more than this of dry matter is a mistaken unit. */
const MOST_DRY_G = 60

/**
 * Mistakes a schema cannot see, each with its place: ranges out of order, forked bones said to be drawn, fat fish of which nobody says how it keeps, two offers
 * of one kind, more dry matter than flesh can hold, a caution that contradicts another fact.
 */
export function findMistakes(species: SourceSpecies): readonly Problem[] {
  const problems: Problem[] = [...checkRanges(species), ...checkOffers(species)]
  const say = (path: string, message: string) => problems.push({ path, message })
  const { flesh, bones, pinBones, protein } = species
  if (pinBones === 'forked' && bones.pinned && bones.pinned[1] !== bones.fillet[1])
    say('/bones/pinned', 'forked pin bones cannot be drawn, yet this differs from bones.fillet')
  if (species.storage === undefined && flesh.fat[1] >= 8)
    say('/storage', `${flesh.fat[1]} g of fat, and not said how it keeps: as lean fish only where that is written`)
  const dry = flesh.fat[1] + protein[1] + (species.ash?.[1] ?? 0) + (species.carbohydrate?.[1] ?? 0)
  if (dry > MOST_DRY_G) say('/protein', `with the fat makes ${dry.toFixed(0)} g of dry matter in 100 g`)
  if (species.venom && !species.spines) say('/spines', 'a venomous fish needs its warning in words')
  if (species.bivalve && species.allergen !== 'mollusc') say('/allergen', 'a bivalve is a mollusc')
  for (const [i, grade] of (species.grades ?? []).entries())
    if (grade.fromG > grade.toG) say(`/grades/${i}/fromG`, `is ${grade.fromG}, above the upper end ${grade.toG}`)
  return problems
}

/** Mistakes of a whole book, in words that name the species: those of each, and names used twice. */
export function checkSpecies(all: readonly SourceSpecies[]): readonly string[] {
  const found: string[] = []
  const seen = new Set<string>()
  for (const species of all) {
    for (const name of [species.scientific, ...(species.synonyms ?? [])]) {
      if (seen.has(name)) found.push(`${species.scientific}: the name ${name} is used twice`)
      seen.add(name)
    }
    for (const { path, message } of findMistakes(species)) found.push(`${species.scientific}: ${path} ${message}`)
  }
  return found
}
