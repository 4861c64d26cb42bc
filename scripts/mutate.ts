/**
 * `npm run mutate`: changes, one at a time and in a copy, each figure and sign listed in `mutate/changes.ts`, and runs the tests:
 * those of its room first, with the tables' of the same name, then all that reach it. Prints what no test noticed. Words may
 * narrow it to some files.
 */
import { execFile } from 'node:child_process'
import { cp, mkdir, mkdtemp, readdir, readFile, rm, symlink, writeFile } from 'node:fs/promises'
import { availableParallelism, tmpdir } from 'node:os'
import { basename, dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { changes, type Change } from './mutate/changes.ts'

const root = fileURLToPath(new URL('..', import.meta.url))
const COPIED = [
  ...['package.json', 'jest.config.js', 'core', 'facts', 'demo', 'docs/harina-file.schema.json', 'docs/words.json'],
  ...['web/package.json', 'web/jest.setup.js', 'web/src'],
]

async function copy(): Promise<string> {
  const dir = await mkdtemp(join(tmpdir(), 'harina-mutate-'))
  for (const path of COPIED) await cp(join(root, path), join(dir, path), { recursive: true })
  // Roots that the test configuration names, empty.
  for (const name of ['server/src', 'scripts']) await mkdir(join(dir, name), { recursive: true })
  // All packages are this tree's, but for our own: the tables' tests ask the copy's core.
  const packages = join(dir, 'node_modules')
  await mkdir(join(packages, '@harina'), { recursive: true })
  for (const name of await readdir(join(root, 'node_modules')))
    if (name !== '@harina') await symlink(join(root, 'node_modules', name), join(packages, name))
  for (const name of ['core', 'facts', 'demo']) await symlink(join(dir, name), join(packages, '@harina', name))
  return dir
}

const CORE = ['core', 'parts'] as const

/** Whether every test passes. */
const passes = (dir: string, projects: readonly string[], args: readonly string[]): Promise<boolean> =>
  new Promise((resolve) => {
    execFile(
      join(root, 'node_modules/.bin/jest'),
      ['--selectProjects', ...projects, '--bail', '--silent', '--runInBand', '--passWithNoTests', ...args],
      { cwd: dir, maxBuffer: 1e9 },
      (error) => resolve(error === null),
    )
  })

async function survives(dir: string, { file, from, to }: Change): Promise<boolean> {
  const path = join(dir, file)
  const source = await readFile(path, 'utf8')
  if (source.split(from).length !== 2) throw new Error(`“${from}” does not stand once in ${file}`)
  await writeFile(path, source.replace(from, to))
  try {
    // What the client stores is held to by its own tests.
    if (file.startsWith('web/')) return await passes(dir, ['web'], ['--testPathPatterns', 'web/src/(storage|state)/'])
    return (
      (await passes(dir, CORE, ['--testPathPatterns', `${dirname(file)}/`, `facts/src/${basename(dirname(file))}`])) &&
      (await passes(dir, CORE, ['--findRelatedTests', path]))
    )
  } finally {
    await writeFile(path, source)
  }
}

const wanted = process.argv.slice(2)
const waiting = changes.filter(({ file }) => wanted.length === 0 || wanted.some((word) => file.includes(word)))
const tried = waiting.length
const survivors: Change[] = []

/** What fails unchanged would notice anything. */
async function isSound(dir: string): Promise<boolean> {
  const rooms = [...new Set(changes.map(({ file }) => dirname(file)))]
  return passes(dir, [...CORE, 'web'], ['--testPathPatterns', ...rooms.map((room) => `${room}/`)])
}

async function work(): Promise<void> {
  const dir = await copy()
  if (!(await isSound(dir))) throw new Error('the tests fail before anything is changed')
  for (let next = waiting.shift(); next; next = waiting.shift()) {
    const survived = await survives(dir, next)
    if (survived) survivors.push(next)
    process.stdout.write(`${survived ? 'SURVIVED' : 'noticed '}  ${next.file}: ${next.from} → ${next.to}\n`)
  }
  await rm(dir, { recursive: true })
}

await Promise.all(Array.from({ length: Math.min(2, availableParallelism()) }, work))
process.stdout.write(`${tried} tried, ${survivors.length} survived\n`)
process.exit(survivors.length === 0 ? 0 : 1)
