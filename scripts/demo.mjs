/** `npm run demo`: installs, builds and serves the demo workspace on one address. PORT and HOST are read from the environment. */
import { spawn } from 'node:child_process'
import { checkNode, installPackages, root, run } from './install.mjs'

checkNode()
if (!(await installPackages())) process.exit(1)
process.stdout.write('Building…\n')
if (
  !(await run('npm', ['run', '--silent', 'build', '--', '--', '--logLevel', 'warn'], {
    stdio: ['ignore', 'ignore', 'inherit'],
  }))
)
  process.exit(1)
const server = spawn('node', ['--import', 'tsx', 'scripts/serve-demo.ts'], { cwd: root, stdio: 'inherit' })
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
