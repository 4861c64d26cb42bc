/**
 * `npm run types`: everything against the compiler, in three programs: the client, which knows the browser; the core alone,
 * which knows neither browser nor Node; and all that runs in Node, tests of the core among it. Side by side, each anew only
 * where something of it has changed. (A build of all parts as one takes a part for current while its own folder is, whatever
 * has changed in those it imports.)
 */
import { spawn } from 'node:child_process'
import { root } from './install.mjs'

const lanes = [['web'], ['.', 'core']]

const check = (part) =>
  new Promise((resolve) => {
    const child = spawn('npx', ['tsc', '-p', part], { cwd: root, stdio: ['ignore', 'inherit', 'inherit'] })
    child.on('exit', (code) => resolve(code === 0))
  })

async function run(parts) {
  let good = true
  for (const part of parts) good = (await check(part)) && good
  return good
}

const all = await Promise.all(lanes.map(run))
process.exit(all.every(Boolean) ? 0 : 1)
