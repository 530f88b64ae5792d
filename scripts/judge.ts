/** Runs the engine over a file of cooks' judgements and prints hits and misses: `npm run judge -- file.json [--verbose]`. */
import { readFileSync } from 'node:fs'
import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, StandInsRequest } from '@tender-gill/contract'
import { parseBrief, parseStandInsRequest } from '@tender-gill/contract/validators'
import { createFindSpecies, findStandIns, rankLineUp } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'

interface Case {
  readonly id: string
  readonly kind: 'line-up' | 'stand-in'
  readonly brief: unknown
  readonly good: readonly string[]
  readonly bad: readonly string[]
}

const today = '2026-06-13'
const sheet = createOfferSheet(today)
const findSpecies = createFindSpecies(sheet.offers)
const args = process.argv.slice(2)
const verbose = args.includes('--verbose')
const file = args.find((arg) => !arg.startsWith('--'))
if (!file) {
  console.error('judge: name a file of judgements: npm run judge -- file.json [--verbose]')
  process.exit(2)
}

interface Order {
  /** Accepted names, best first; who is missing was left out. */
  readonly order: readonly string[]
  readonly lines: readonly string[]
}

function refuse(id: string, problems: readonly { path: string; message: string }[]): never {
  throw new Error(`${id}: ${problems.map(({ path, message }) => `${path} ${message}`).join('; ')}`)
}

function orderOf({ id, kind, brief }: Case): Order {
  if (kind === 'line-up') {
    const parsed = parseBrief(brief)
    if (!parsed.ok) refuse(id, parsed.error)
    const answer = createWords().tell(rankLineUp(parsed.value as Brief, sheet, { today }))
    if (!answer.ok) refuse(id, answer.error)
    const { ranked, leftOut } = answer.value
    return {
      order: ranked.map(({ species }) => species),
      lines: [
        ...ranked.map(
          ({ common, fit, pointsLost }) =>
            `  ${fit.toFixed(1)} ${common}: ${pointsLost.map(({ trait, points }) => `${trait} -${points}`).join(', ')}`,
        ),
        ...leftOut.map(({ common, gates, sentence }) => `  out  ${common}: ${gates.join(', ')} (${sentence})`),
      ],
    }
  }
  const parsed = parseStandInsRequest(brief)
  if (!parsed.ok) refuse(id, parsed.error)
  const answer = createWords().tell(findStandIns(parsed.value as StandInsRequest, sheet, { today }))
  if (!answer.ok) refuse(id, answer.error)
  const { order, ladder, leftOut, tempting } = answer.value
  return {
    order: order.map(({ species }) => species),
    lines: [
      ...order.map(({ common, alike, fit, standIn }) => `  ${standIn.toFixed(1)} ${common}: alike ${alike}, fit ${fit}`),
      ...ladder.flatMap(({ common, changes }) => [`  rung ${common}`, ...changes.map(({ sentence }) => `       ${sentence}`)]),
      ...tempting.map(({ common, sentence }) => `  not  ${common}: ${sentence}`),
      ...leftOut.map(({ common, gates, sentence }) => `  out  ${common}: ${gates.join(', ')} (${sentence})`),
    ],
  }
}

const cases = JSON.parse(readFileSync(file, 'utf8')) as readonly Case[]
let hits = 0
let pairs = 0
for (const judged of cases) {
  const { order, lines } = orderOf(judged)
  const place = (name: string) => {
    const at = order.indexOf(findSpecies(name) ?? name)
    return at < 0 ? Infinity : at
  }
  const misses = judged.good.flatMap((good) =>
    judged.bad.filter((bad) => !(place(good) < place(bad))).map((bad) => `${good} not above ${bad}`),
  )
  const all = judged.good.length * judged.bad.length
  pairs += all
  hits += all - misses.length
  console.log(`${judged.id}: ${all - misses.length} of ${all} pairs`)
  for (const miss of misses) console.log(`  miss: ${miss}`)
  if (verbose) console.log(lines.join('\n'))
}
console.log(`${hits} of ${pairs} pairs in order (${((100 * hits) / Math.max(1, pairs)).toFixed(1)} %)`)
