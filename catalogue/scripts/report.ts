/** `npm run data`: writes docs/DATA.md, and prints gaps nobody explained and values to look at again. Exit 1 when a gap is not explained. */
import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { format, resolveConfig } from 'prettier'
import { listSources, listSpecies } from '../src/index.ts'
import { describeBook } from '../src/report/describeBook.ts'
import { findFarApart, findGaps } from '../src/report/findGaps.ts'
import { findCompositionOutliers, findFamilyOutliers } from '../src/report/findOutliers.ts'

const page = fileURLToPath(new URL('../../docs/DATA.md', import.meta.url))
const text = describeBook(listSources(), listSpecies())
writeFileSync(page, await format(text, { ...(await resolveConfig(page)), parser: 'markdown' }))
const unexplained = [...findGaps(listSources()), ...findFarApart(listSpecies())].filter(({ reason }) => reason === null)
for (const gap of unexplained)
  console.log(`not explained: ${gap.species} ${'field' in gap ? gap.field : `fat ${gap.measuredG} against ${gap.compiledG}`}`)
for (const { species, what, value, expected } of [...findFamilyOutliers(listSpecies()), ...findCompositionOutliers(listSpecies())])
  console.log(`look again: ${species}, ${what}: ${value.toFixed(1)}, others about ${expected.toFixed(1)}`)
console.log(`${unexplained.length} gaps not explained`)
process.exit(unexplained.length > 0 ? 1 : 0)
