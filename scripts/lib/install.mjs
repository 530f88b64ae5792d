/** Installs what is missing: npm packages, and Debian's PostgreSQL and Chromium where apt-get may be used. */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { HEADLESS, findChromium } from './chromium.mjs'
import { ROOT, isRoot, must } from './shell.mjs'

const stampFile = join(ROOT, 'node_modules', '.tender-gill-lock')
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex')

/** Installs npm packages when there are none or the lock file changed. */
export async function installPackages() {
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === lockHash()) return
  console.log('Installing npm packages ...')
  await must('npm', ['ci', '--no-audit', '--no-fund'])
  writeFileSync(stampFile, lockHash())
}

const POSTGRES_HOME = '/usr/lib/postgresql'

const listPostgres = () =>
  existsSync(POSTGRES_HOME) ? readdirSync(POSTGRES_HOME).filter((name) => existsSync(join(POSTGRES_HOME, name, 'bin', 'initdb'))) : []

/**
 * Folder of PostgreSQL's programs: of the version that is asked for, else the newest installed; undefined when there is none.
 * @param version the major version a cluster was made with: no other opens it
 */
export function findPostgres(version) {
  const versions = listPostgres()
  const wanted = version ?? versions.sort((a, b) => Number(a) - Number(b)).at(-1)
  return wanted !== undefined && versions.includes(wanted) ? join(POSTGRES_HOME, wanted, 'bin') : undefined
}

async function aptInstall(packages) {
  const apt = (args) => {
    const command = ['env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', ...args]
    const [head, ...rest] = isRoot() ? command : ['sudo', '-n', ...command]
    return must(head, rest, { stdio: ['ignore', 'ignore', 'inherit'], cwd: '/' })
  }
  await apt(['update', '-qq'])
  await apt(['install', '-y', '-qq', '--no-install-recommends', ...packages])
}

const askFor = (what, packages, error) =>
  new Error(
    `${what} is not installed, and it could not be installed from here (${error.message}).\nAs root: apt-get install ${packages.join(' ')}`,
  )

/**
 * Installs Debian's PostgreSQL when it is missing. Its own cluster is not wanted, so none is made.
 * @param version of the cluster to be opened, where there is one   @returns its folder of programs
 */
export async function installPostgres(version) {
  const there = findPostgres(version)
  if (there) return there
  if (version !== undefined && listPostgres().length > 0)
    throw new Error(
      `The data was made by PostgreSQL ${version}, and only ${listPostgres().join(', ')} is installed.\nAs root: apt-get install postgresql-${version}`,
    )
  console.log('Installing PostgreSQL from Debian ...')
  const packages = ['postgresql']
  try {
    if (isRoot() && !existsSync('/etc/postgresql-common/createcluster.conf')) {
      mkdirSync('/etc/postgresql-common', { recursive: true })
      writeFileSync('/etc/postgresql-common/createcluster.conf', 'create_main_cluster = false\n')
    }
    await aptInstall(packages)
  } catch (error) {
    throw askFor('PostgreSQL', packages, error)
  }
  const installed = findPostgres()
  if (!installed) throw askFor('PostgreSQL', packages, new Error('installed, but not found'))
  return installed
}

/** Installs Debian's Chromium without a window when it is missing; where it is not to be had, the one with a window will do. */
export async function installChromium() {
  if (existsSync(HEADLESS.program)) return
  console.log('Installing Chromium from Debian ...')
  try {
    await aptInstall([HEADLESS.name])
  } catch (error) {
    if (findChromium() === undefined) throw askFor('Chromium', [HEADLESS.name], error)
  }
}

/** Runs a build when its output is missing or older than what it is made from. */
export async function buildIfStale(workspace, output, sources) {
  const made = join(ROOT, output)
  const newest = Math.max(0, ...sources.flatMap((pattern) => listFiles(join(ROOT, pattern))).map(modified))
  if (existsSync(made) && modified(made) >= newest) return
  console.log(`Building ${workspace} ...`)
  await must('npm', ['run', '--silent', 'build', '-w', workspace])
}

const modified = (file) => statSync(file).mtimeMs
function listFiles(path) {
  if (!existsSync(path)) return []
  if (!statSync(path).isDirectory()) return [path]
  return readdirSync(path, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
}

/** Builds whatever is older than its sources: book, validators, server, pages. */
export async function buildAll({ web = true } = {}) {
  await buildIfStale('catalogue', 'catalogue/dist/book.json', [
    'catalogue/species',
    'catalogue/src',
    'catalogue/scripts',
    'csv/src',
    'contract/src',
    'core/src/traits',
    'core/src/tables',
  ])
  await buildIfStale('contract', 'contract/dist/browserValidators.js', ['contract/src', 'contract/scripts'])
  await buildIfStale('simulator', 'simulator/dist/main.js', ['simulator/src', 'simulator/scripts', 'demo'])
  await buildIfStale('server', 'server/dist/main.js', [
    'server/src',
    'server/scripts',
    'names/src',
    'csv/src',
    'words/src',
    'demo',
    'core/src',
    'contract/src',
    'catalogue/dist/book.json',
  ])
  await buildIfStale('cli', 'cli/dist/tender-gill.js', [
    'cli/src',
    'cli/scripts',
    'words/src',
    'core/src',
    'contract/src',
    'catalogue/dist/book.json',
  ])
  if (web)
    await buildIfStale('web', 'web/dist/index.html', [
      'web/src',
      'web/index.html',
      'web/vite.config.ts',
      'web/scripts',
      'web/public',
      'names/src',
      'core/src',
      'contract/src',
      'contract/dist/browserValidators.js',
    ])
}
