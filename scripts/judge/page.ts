/** `npm run judgement`: writes docs/JUDGEMENT.md from the shipped book, to be read with a cook's eye and diffed when a table changes. */
import { writeFileSync } from 'node:fs'
import { format, resolveConfig } from 'prettier'
import { lineUp, standIns } from './book.ts'
import { LADDERS, LINE_UPS } from './questions.ts'

const TOP = 10
const FILE = 'docs/JUDGEMENT.md'
const describeAsked = (brief: object): string =>
  Object.entries(brief)
    .map(([key, value]) => `${key} ${typeof value === 'object' ? JSON.stringify(value) : String(value)}`)
    .join(', ')

const lines: string[] = [
  '# What the engine answers',
  '',
  'The first ten of questions a kitchen asks, over the whole shipped book, no market beside it: to be read with a cook’s eye. Written by',
  '`npm run judgement`; read its difference whenever a table or a trait changes.',
  '',
  '## Line-ups',
]
for (const { name, brief } of LINE_UPS) {
  const { ranked, leftOut } = lineUp({ dish: name, ...brief })
  const first = ranked.slice(0, TOP).map(({ common, fit }) => `${common} ${fit.toFixed(1)}`)
  lines.push('', `**${name}** (${describeAsked(brief)}; ${ranked.length} can, ${leftOut.length} cannot): ${first.join(' · ') || 'nobody'}`)
}
lines.push('', '## Instead of what is missing')
for (const { name, brief, missing, because } of LADDERS) {
  const { order, ladder } = standIns({ dish: name, ...brief, missing, ...(because ? { because } : {}) })
  const first = order.slice(0, TOP).map(({ common, standIn }) => `${common} ${standIn.toFixed(1)}`)
  lines.push(
    '',
    `**${name}** (${describeAsked(brief)}): ${first.join(' · ') || 'nobody'}; rungs: ${ladder.map(({ common }) => common).join(', ') || 'none'}`,
  )
}
const options = (await resolveConfig(FILE)) ?? {}
writeFileSync(FILE, await format(`${lines.join('\n')}\n`, { ...options, parser: 'markdown' }))
console.log(`${FILE} written: ${LINE_UPS.length} line-ups, ${LADDERS.length} ladders`)
