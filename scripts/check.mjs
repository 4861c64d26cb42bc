/** `npm run check`, the minute between edits: types and lint, and the tests in every folder that holds a changed file. */
import { execFileSync } from 'node:child_process'
import { dirname } from 'node:path'
import { root, run } from './install.mjs'
import { together } from './together.mjs'

const git = (...args) => execFileSync('git', args, { cwd: root, encoding: 'utf8' }).split('\n').filter(Boolean)
const changed = [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')]
const folders = new Set(
  changed.filter((file) => /^(core|web|server|demo|facts)\/src\/.*\.tsx?$/.test(file)).map(dirname),
)

const checks = await together(['types', 'lint'])
const isTested =
  folders.size === 0 ||
  (await run('npx', [
    'jest',
    '--maxWorkers=2',
    '--testPathPatterns',
    ...[...folders].map((folder) => `/${folder}/[^/]+\\.test\\.tsx?$`),
    '--passWithNoTests',
  ]))
process.exit(checks.every(Boolean) && isTested ? 0 : 1)
