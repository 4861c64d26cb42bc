/** `npm run verify`: everything that must hold, on a fresh machine too; ends with one line `N passed, N failed`. */
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { checkNode, installPackages, run } from './install.mjs'
import { together } from './together.mjs'

const CHROMIUM = [
  process.env.CHROMIUM,
  '/usr/lib/chromium/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
].filter(Boolean)
const hasChromium = () => CHROMIUM.some((path) => existsSync(path))

/** Whether there is one; it is fetched while packages come and the first tests run. */
async function chromiumComes() {
  if (hasChromium()) return true
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const [command, ...before] = [...asRoot, 'apt-get']
  const apt = (...args) =>
    run(command, [...before, ...args], {
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      stdio: ['ignore', 'ignore', 'inherit'],
    })
  const install = (name) => apt('install', '-y', '--no-install-recommends', name)
  if (!(await apt('update'))) return false
  return ((await install('chromium-headless-shell')) || (await install('chromium'))) && hasChromium()
}

// A page often waits for its store or a clock: three of them fill two cores.
const WORKERS = 3

const results = mkdtempSync(join(tmpdir(), 'harina-verify-'))
const total = { passed: 0, failed: 0 }

/** Runs a step that tells how many passed and failed. */
async function step(name, work) {
  process.stdout.write(`\n— ${name}\n`)
  const started = Date.now()
  const { passed, failed } = await work()
  total.passed += passed
  total.failed += failed
  const seconds = ((Date.now() - started) / 1000).toFixed(0)
  process.stdout.write(`  ${failed === 0 ? 'good' : 'FAILED'}, ${seconds} s\n`)
}

const scripts =
  (...names) =>
  async () => {
    const ends = await together(names)
    return { passed: ends.filter(Boolean).length, failed: ends.filter((ok) => !ok).length }
  }

const jest =
  (name, ...args) =>
  async () => {
    const file = join(results, `${name}.json`)
    const ok = await run(
      'npx',
      ['jest', '--ci', '--json', `--outputFile=${file}`, `--maxWorkers=${WORKERS}`, ...args],
      {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: {
          ...process.env,
          // The random tests in full; between edits they are shorter.
          CI: 'true',
          // What a test makes is soon gone: with more room for the young, a fourteenth of the time is saved.
          NODE_OPTIONS: [process.env.NODE_OPTIONS, '--max-semi-space-size=64'].filter(Boolean).join(' '),
        },
      },
    )
    if (!existsSync(file)) return { passed: 0, failed: 1 }
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, numPendingTests, numTotalTests } = JSON.parse(
      readFileSync(file, 'utf8'),
    )
    const broken = numRuntimeErrorTestSuites + numPendingTests + (numTotalTests === 0 ? 1 : 0)
    return { passed: numPassedTests, failed: Math.max(numFailedTests + broken, ok ? 0 : 1) }
  }

checkNode()
const chromium = chromiumComes()
if (!(await installPackages())) process.exit(1)

await step('types, lint, format, build', scripts('types', 'lint', 'format:check', 'build'))
await step('size budget', scripts('size'))
await step('unit tests', jest('unit'))
if (await chromium) await step('end-to-end tests', jest('e2e', '--config', 'e2e/jest.config.js'))
else {
  process.stderr.write(
    'The end-to-end tests need Chromium. Install it, then run this again:\n  sudo apt-get update && sudo apt-get install -y chromium-headless-shell\n',
  )
  total.failed += 1
}
rmSync(results, { recursive: true, force: true })

process.stdout.write(`\n${total.passed} passed, ${total.failed} failed\n`)
process.exit(total.failed === 0 ? 0 : 1)
