/** What demo and verify share: packages as the lock file says, and a child process that tells how it ended. */
import { spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

export const root = fileURLToPath(new URL('..', import.meta.url))
const STAMP = new URL('../node_modules/.harina-lock', import.meta.url)
const LOCK = new URL('../package-lock.json', import.meta.url)

/** Whether it ended well. */
export const run = (command, args, options = {}) =>
  new Promise((resolve) => {
    spawn(command, args, { cwd: root, stdio: 'inherit', ...options })
      .on('error', () => resolve(false))
      .on('exit', (code) => resolve(code === 0))
  })

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major > 20 || (major === 20 && minor >= 19)) return
  process.stderr.write(`Harina needs Node 20.19 or newer; this is ${process.versions.node}.\n`)
  process.exit(1)
}

/** Installs when the lock file is not the one last installed from. */
export async function installPackages() {
  const lock = createHash('sha256').update(readFileSync(LOCK)).digest('hex')
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return true
  process.stdout.write('Installing packages…\n')
  if (!(await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']))) return false
  writeFileSync(STAMP, lock)
  return true
}
