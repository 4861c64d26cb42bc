/**
 * `npm run check`, the minute between edits: types and lint, and the tests related to what was changed, the nearest first. Says
 * how many of them it ran; `npm test` runs all.
 */
import { execFileSync } from 'node:child_process'
import { dirname, relative } from 'node:path'
import { root, run } from './install.mjs'
import { together } from './together.mjs'

/** So many test files fit into the minute. */
const MOST = 24

const lines = (command, ...args) =>
  execFileSync(command, args, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean)
const changed = [
  ...new Set([
    ...lines('git', 'diff', '--name-only', 'HEAD'),
    ...lines('git', 'ls-files', '--others', '--exclude-standard'),
  ]),
].filter((file) => /^(core|web|server|demo|facts)\/.*\.(tsx?|json)$/.test(file))

const related = changed.length === 0 ? [] : lines('npx', 'jest', '--listTests', '--findRelatedTests', ...changed)

/** Steps from folder to folder. */
function distance(from, to) {
  const way = relative(dirname(from), dirname(to))
  return way === '' ? 0 : way.split('/').length
}
const nearest = (test) => Math.min(...changed.map((file) => distance(file, relative(root, test))))
const wanted = [...related].sort((a, b) => nearest(a) - nearest(b)).slice(0, MOST)

const checks = await together(['types', 'lint'])
const isTested = wanted.length === 0 || (await run('npx', ['jest', '--maxWorkers=2', '--runTestsByPath', ...wanted]))
process.stdout.write(
  `\n${wanted.length} of ${related.length} related test files were run, for ${changed.length} changed files.\n`,
)
process.exit(checks.every(Boolean) && isTested ? 0 : 1)
