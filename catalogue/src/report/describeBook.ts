import { BASES, FLESH_KEYS, MARKET_PLACES, REGIONS, type SourceSpecies, type SpeciesSheet } from '@tender-gill/contract'
import { findFarApart, findGaps } from './findGaps.ts'

const count = <T>(items: readonly T[], holds: (item: T) => boolean): number => items.filter(holds).length
const table = (head: readonly string[], rows: readonly (readonly (string | number)[])[]): string =>
  [`| ${head.join(' | ')} |`, `|${head.map(() => '---').join('|')}|`, ...rows.map((row) => `| ${row.join(' | ')} |`)].join('\n')

function countBases(sheets: readonly SpeciesSheet[]): readonly (readonly [string, number])[] {
  const bases = sheets.flatMap(({ offers, composition }) => [
    ...offers.flatMap(({ traits, bones, weightG, depthMm }) => [
      ...FLESH_KEYS.map((key) => traits[key].basis),
      ...Object.values(bones).flatMap((bone) => (bone ? [bone.basis] : [])),
      weightG.basis,
      depthMm.basis,
    ]),
    ...composition.flatMap(({ waterG, proteinG, ashG }) => [waterG.basis, proteinG.basis, ashG.basis]),
  ])
  return BASES.map((basis) => [basis, count(bases, (one) => one === basis)] as const)
}

function countLanguages(sources: readonly SourceSpecies[]): readonly (readonly [string, number, number])[] {
  const languages = [...new Set(sources.flatMap(({ names }) => Object.keys(names)))].sort()
  return languages.map(
    (language) =>
      [
        language,
        count(sources, ({ names }) => names[language] !== undefined),
        sources.reduce((sum, { names }) => sum + (names[language]?.length ?? 0), 0),
      ] as const,
  )
}

/** The page docs/DATA.md: what the book holds, what that rests on, what is missing. */
export function describeBook(sources: readonly SourceSpecies[], sheets: readonly SpeciesSheet[]): string {
  const offers = sheets.flatMap((sheet) => sheet.offers)
  const gaps = findGaps(sources)
  const measured = sheets.filter((sheet) => sheet.offers.some(({ traits }) => traits.fat.basis === 'measured'))
  return `# The data

Made by \`npm run data\` from the files in \`catalogue/species\`; do not edit it by hand.

${table(
  ['what', 'count'],
  [
    ['species', sheets.length],
    ['of them shellfish', count(sheets, ({ allergen }) => allergen !== 'fish')],
    ['families', new Set(sheets.map(({ family }) => family)).size],
    ['offers', offers.length],
    ['wild', count(offers, ({ origin }) => origin === 'wild')],
    ['farmed', count(offers, ({ origin }) => origin === 'farmed')],
    ['fresh', count(offers, ({ state }) => state === 'fresh')],
    ['frozen', count(offers, ({ state }) => state === 'frozen')],
    ['of a part (belly, collar, tail ...)', count(offers, ({ part }) => part !== 'body')],
    ['under a general prohibition', count(sheets, (sheet) => sheet.offers.some(({ listing }) => listing?.status === 'prohibited'))],
    ['under quotas, closures or permits', count(sheets, (sheet) => sheet.offers.some(({ listing }) => listing?.status === 'restricted'))],
  ],
)}

## What the values rest on

A value is a range: what one fish in twenty falls below, the median, what one in twenty exceeds. *Compiled* is general consensus of fish cookery and biology, not a measurement. *Measured* comes from a published table, named beside it. *House* is a kitchen's own and stands in no shipped file.

${table(['basis', 'values'], countBases(sheets))}

## Measured

From the Indian Food Composition Tables 2017 (National Institute of Nutrition, Hyderabad). A table's mean is the typical value; its spread over regions is the range, where it gives one.

${table(
  ['species', 'fat', 'water', 'protein', 'row'],
  measured.map(({ species, measured: rows }) => {
    const of = (trait: string) => rows.find((row) => row.trait === trait)
    return [
      species,
      ...['fatG', 'waterG', 'proteinG'].map((trait) => of(trait)?.per100G ?? ''),
      /row (\w+)/.exec(of('fatG')?.source ?? '')?.[1] ?? '',
    ]
  }),
)}

Where a table's fat is more than twice or less than half of the compiled one, and more than 1.5 g away, the compiled range stands and both are shown:

${table(
  ['species', 'table, g', 'compiled, g', 'why'],
  findFarApart(sheets).map(({ species, measuredG, compiledG, reason }) => [species, measuredG, compiledG, reason ?? '**not explained**']),
)}

## Where they come from

${table(
  ['region', 'species'],
  REGIONS.map((region) => [region.replaceAll('-', ' '), count(sheets, ({ regions }) => regions.includes(region))]),
)}

${table(
  ['place on the market', 'species'],
  MARKET_PLACES.map((place) => [place, count(sheets, ({ market }) => market === place)]),
)}

## Names

A gap is honest, a wrong name is not: a language is given where we are sure of it.

${table(['language', 'species named', 'names'], countLanguages(sources))}

## Gaps

${
  gaps.length === 0
    ? 'None.'
    : table(
        ['species', 'what is not given', 'why'],
        gaps.map(({ species, field, reason }) => [species, field, reason ?? '**not explained**']),
      )
}
`
}
