/**
 * Runs the engine over a file of cooks' judgements and prints hits and misses: `npm run judge -- file.json [--verbose]`. A pair is lost in the
 * wrong order, or because both were left out: the first is a matter of asks, the second of gates.
 */
import { readFileSync } from 'node:fs'
import { findSpecies, lineUp, standIns } from './book.ts'

interface Case {
  readonly id: string
  readonly kind: 'line-up' | 'stand-in'
  readonly brief: unknown
  readonly good: readonly string[]
  readonly bad: readonly string[]
}

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
type LeftOut = ReturnType<typeof lineUp>['leftOut'][number]
const describeLeftOut = ({ common, gates, sentence }: LeftOut) => `  out  ${common}: ${gates.join(', ')} (${sentence})`

function orderOf({ kind, brief }: Case): Order {
  if (kind === 'line-up') {
    const { ranked, leftOut } = lineUp(brief)
    return {
      order: ranked.map(({ species }) => species),
      lines: [
        ...ranked.map(
          ({ common, fit, pointsLost }) =>
            `  ${fit.toFixed(1)} ${common}: ${pointsLost.map(({ trait, points }) => `${trait} -${points}`).join(', ')}`,
        ),
        ...leftOut.map(describeLeftOut),
      ],
    }
  }
  const { order, ladder, leftOut, tempting } = standIns(brief)
  return {
    order: order.map(({ species }) => species),
    lines: [
      ...order.map(({ common, alike, fit, standIn }) => `  ${standIn.toFixed(1)} ${common}: alike ${alike}, fit ${fit}`),
      ...ladder.flatMap(({ common, changes }) => [`  rung ${common}`, ...changes.map(({ sentence }) => `       ${sentence}`)]),
      ...tempting.map(({ common, sentence }) => `  not  ${common}: ${sentence}`),
      ...leftOut.map(describeLeftOut),
    ],
  }
}

const cases = JSON.parse(readFileSync(file, 'utf8')) as readonly Case[]
const sums = { hits: 0, wrongOrder: 0, bothOut: 0, goodOut: 0 }
for (const judged of cases) {
  const { order, lines } = orderOf(judged)
  const place = (name: string) => {
    const at = order.indexOf(findSpecies(name) ?? name)
    return at < 0 ? Infinity : at
  }
  let hits = 0
  const misses: string[] = []
  for (const good of judged.good)
    for (const bad of judged.bad) {
      if (place(good) < place(bad)) hits += 1
      else if (place(bad) === Infinity) misses.push(`${good} and ${bad} are both left out`)
      else misses.push(place(good) === Infinity ? `${good} is left out, ${bad} is not` : `${good} not above ${bad}`)
    }
  sums.hits += hits
  for (const miss of misses)
    if (miss.endsWith('both left out')) sums.bothOut += 1
    else if (miss.includes('is left out')) sums.goodOut += 1
    else sums.wrongOrder += 1
  console.log(`${judged.id}: ${hits} of ${hits + misses.length} pairs`)
  for (const miss of misses) console.log(`  miss: ${miss}`)
  if (verbose) console.log(lines.join('\n'))
}
const { hits, wrongOrder, bothOut, goodOut } = sums
const pairs = hits + wrongOrder + bothOut + goodOut
console.log(
  `${hits} of ${pairs} pairs in order (${((100 * hits) / Math.max(1, pairs)).toFixed(1)} %); lost: ${wrongOrder} in the wrong order, ${goodOut} with the good one left out, ${bothOut} with both left out`,
)
