/**
 * `npm run types`: the pages beside everything else, by the compiler that is four times as fast; the linter needs the other one. Each on one
 * thread: several would work out the same types several times over.
 */
import { must } from './lib/shell.mjs'

const check = async (programs) => {
  for (const program of programs) await must('node', ['node_modules/typescript-native/bin/tsc', '-p', program, '--singleThreaded'])
}
await Promise.all([check(['web']), check(['core', '.', 'e2e'])])
