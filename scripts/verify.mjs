/** `npm run verify`: everything that must hold, on a fresh machine too; ends with one line `N passed, N failed`. */
import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { checkNode, installPackages, run } from './install.mjs'
import { together } from './together.mjs'

const CHROMIUM = [process.env.CHROMIUM, '/usr/bin/chromium', '/usr/bin/chromium-browser'].filter(Boolean)
const hasChromium = () => CHROMIUM.some((path) => existsSync(path))

function installChromium() {
  if (hasChromium()) return
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const allowed = asRoot.length === 0 || spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0
  if (allowed && existsSync('/usr/bin/apt-get')) {
    process.stdout.write('Installing Chromium…\n')
    const apt = (...args) => {
      const [command, ...rest] = [...asRoot, 'apt-get', ...args]
      return run(command, rest, {
        env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
        stdio: ['ignore', 'ignore', 'inherit'],
      })
    }
    if (apt('update') && apt('install', '-y', '--no-install-recommends', 'chromium') && hasChromium()) return
  }
  process.stderr.write(
    'The end-to-end tests need Chromium. Install it, then run this again:\n  sudo apt-get update && sudo apt-get install -y chromium\n',
  )
  process.exit(1)
}

const results = mkdtempSync(join(tmpdir(), 'harina-verify-'))
let passed = 0
let failed = 0

function step(name, work) {
  process.stdout.write(`\n— ${name}\n`)
  const started = Date.now()
  const counts = work()
  passed += counts.passed
  failed += counts.failed
  process.stdout.write(
    `  ${counts.failed === 0 ? 'good' : 'FAILED'}, ${((Date.now() - started) / 1000).toFixed(0)} s\n`,
  )
  return counts.failed === 0
}

const whole = (ok) => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 })
const npm = (script) => () => whole(run('npm', ['run', '--silent', script]))

async function checks(names, scripts) {
  process.stdout.write(`\n— ${names}\n`)
  const started = Date.now()
  const ends = await together(scripts)
  passed += ends.filter(Boolean).length
  failed += ends.filter((ok) => !ok).length
  process.stdout.write(
    `  ${ends.every(Boolean) ? 'good' : 'FAILED'}, ${((Date.now() - started) / 1000).toFixed(0)} s\n`,
  )
}

function jest(name, args) {
  return () => {
    const file = join(results, `${name}.json`)
    const ok = run('npx', ['jest', '--ci', '--json', `--outputFile=${file}`, ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      // The random tests in full; between edits they are shorter.
      env: { ...process.env, CI: 'true' },
    })
    if (!existsSync(file)) return whole(false)
    const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, numPendingTests, numTotalTests } = JSON.parse(
      readFileSync(file, 'utf8'),
    )
    const broken = numRuntimeErrorTestSuites + numPendingTests + (numTotalTests === 0 ? 1 : 0)
    return { passed: numPassedTests, failed: Math.max(numFailedTests + broken, ok ? 0 : 1) }
  }
}

checkNode()
installChromium()
if (!installPackages()) process.exit(1)

await checks('format, lint, types', ['types', 'lint', 'format:check'])
step('unit tests', jest('unit', ['--maxWorkers=2']))
if (step('build', npm('build'))) {
  step('end-to-end tests', jest('e2e', ['--config', 'e2e/jest.config.js', '--maxWorkers=2']))
  step('size budget', npm('size'))
} else failed += 2
rmSync(results, { recursive: true, force: true })

process.stdout.write(`\n${passed} passed, ${failed} failed\n`)
process.exit(failed === 0 ? 0 : 1)
