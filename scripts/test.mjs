/**
 * `npm test`: installs and builds what is missing, then what is quick (types, lint, format, boundaries), then unit and API tests, then
 * browser journeys; ends with a plain line of counts. Stages of one rank run beside each other; a rank that fails is the last. The linter
 * works on one processor alone: it is begun before anything is built, and waited for before the journeys.
 * `npm test -- --only unit` runs one stage, `--long` holds the laws against many more cases, `--all` goes on after a failure.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildAll, installChromium, installPackages, installPostgres } from './lib/install.mjs'
import { show } from './lib/shell.mjs'

const all = process.argv.includes('--all')
if (process.argv.includes('--long')) process.env.TENDER_GILL_LONG = '1'
const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : undefined
const reports = mkdtempSync(join(tmpdir(), 'tender-gill-reports-'))
const counts = { passed: 0, failed: 0 }

const check = (name, command, args) => ({
  name,
  run: async () => ((await show(command, args)) === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 }),
})

const readJson = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return undefined
  }
}

/** A run that ends badly without a failed test in its report still counts as one failure. */
const settle = (code, passed, failed) => ({ passed, failed: code !== 0 && failed === 0 ? 1 : failed })

const unit = {
  name: 'unit',
  run: async () => {
    const file = join(reports, 'unit.json')
    const code = await show('npx', ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${file}`])
    const report = readJson(file)
    return settle(code, report?.numPassedTests ?? 0, report?.numFailedTests ?? 0)
  },
}

const journeys = {
  name: 'journeys',
  run: async () => {
    const file = join(reports, 'journeys.json')
    const code = await show('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], { env: { JOURNEY_REPORT: file } })
    const stats = readJson(file)?.stats
    return settle(code, (stats?.expected ?? 0) + (stats?.flaky ?? 0), stats?.unexpected ?? 0)
  },
}

const lint = check('lint', 'npm', ['run', '--silent', 'lint'])
/** Ranks of stages, the quickest to tell first. */
const RANKS = [
  [
    check('types', 'npm', ['run', '--silent', 'types']),
    check('format', 'npm', ['run', '--silent', 'format:check']),
    check('boundaries', 'npm', ['run', '--silent', 'boundaries']),
  ],
  [unit],
  [journeys],
]

// What comes from npm and what comes from Debian wait for the network beside each other.
await Promise.all([installPackages(), installPostgres().then(installChromium)])

async function runStage({ name, run }) {
  const began = Date.now()
  const { passed, failed } = await run()
  counts.passed += passed
  counts.failed += failed
  console.log(`-- ${name}: ${passed} passed, ${failed} failed, ${((Date.now() - began) / 1000).toFixed(0)} s`)
}
const isAsked = ({ name }) => !only || name === only
const linted = isAsked(lint) ? runStage(lint) : undefined
await buildAll()
for (const rank of RANKS) {
  if (rank.includes(journeys)) await linted
  if (counts.failed > 0 && !all) break
  await Promise.all(rank.filter(isAsked).map(runStage))
}
await linted
rmSync(reports, { recursive: true, force: true })
console.log(`${counts.passed} passed, ${counts.failed} failed`)
process.exit(counts.failed === 0 && counts.passed > 0 ? 0 : 1)
