/** `npm run dev`: the client as it is written, over the demo workspace and the played instruments. */
import { generateWorkspace } from '@harina/demo'
import { createApp, listen } from '@harina/server'
import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const client = fileURLToPath(new URL('../web', import.meta.url))
const started = await listen(createApp({ clientDir: `${client}/public`, startWorkspace: generateWorkspace }), {
  host: '127.0.0.1',
  port: 0,
})
if (!started.ok) {
  process.stderr.write(`${started.message}\n`)
  process.exit(1)
}
const vite = spawn('npx', ['vite', ...process.argv.slice(2)], {
  cwd: client,
  stdio: 'inherit',
  env: { ...process.env, HARINA_SERVER: started.listening.url },
})
vite.on('exit', (code) => void started.listening.close().then(() => process.exit(code ?? 0)))
