/**
 * `npm run types`: every part against the compiler, two at a time, each anew only where it or what it imports has changed. (A
 * build of all parts as one takes a part for current while its own folder is, whatever has changed in those it imports.)
 */
import { spawn } from 'node:child_process'
import { root } from './install.mjs'

const parts = ['web', 'core/tsconfig.test.json', 'core', 'scripts', 'e2e', 'demo', 'server', 'facts']

const check = (part) =>
  new Promise((resolve) => {
    const child = spawn('npx', ['tsc', '-p', part], { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] })
    child.on('exit', (code) => resolve(code === 0))
  })

async function lane() {
  let good = true
  for (let part = parts.shift(); part !== undefined; part = parts.shift()) good = (await check(part)) && good
  return good
}

const lanes = await Promise.all([lane(), lane()])
process.exit(lanes.every(Boolean) ? 0 : 1)
