/** The built command line from start to answer, beside Node.js starting and doing nothing. */
import { spawnSync } from 'node:child_process'
import { medianMs, shown } from './measure.ts'

const input = JSON.stringify({ dish: 'Bench', method: 'grill', format: 'chunk', thicknessMm: 30, covers: 24 })
const answer = medianMs(() => spawnSync('node_modules/.bin/tender-gill', ['line-up'], { input }), { warmUp: 1 })
const lines = Array.from({ length: 50 }, (_, seed) => JSON.stringify({ ...JSON.parse(input), seed })).join('\n')
const many = medianMs(() => spawnSync('node_modules/.bin/tender-gill', ['line-up', '--lines'], { input: lines, maxBuffer: 2 ** 28 }), {
  runs: 3,
  warmUp: 0,
})
const bare = medianMs(() => spawnSync(process.execPath, ['-e', '0']))
console.log(`line-up, 2,000 draws: ${shown(answer)} (aim under 500 ms); Node.js alone ${shown(bare)}, ratio ${(answer / bare).toFixed(1)}`)
console.log(`50 line-ups by --lines: ${shown(many)}, ${shown(many / 50)} each`)
