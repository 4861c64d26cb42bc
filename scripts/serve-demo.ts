/** Serves the built client with the demo workspace. Run through `npm run demo`, which installs and builds first. */
import { addressFrom, createApp, isThisMachine, listen } from '@harina/server'
import { generateWorkspace } from '@harina/demo'
import { fileURLToPath } from 'node:url'

const stop = (message: string): never => {
  process.stderr.write(`${message}\n`)
  process.exit(1)
}

const address = addressFrom(process.env)
if (typeof address === 'string') stop(address)
else {
  const clientDir = fileURLToPath(new URL('../web/dist', import.meta.url))
  const instrumentsForAll = process.env['INSTRUMENTS'] === 'house'
  const started = await listen(createApp({ clientDir, startWorkspace: generateWorkspace, instrumentsForAll }), address)
  if (!started.ok) stop(started.message)
  else {
    // Its history is worked out before anybody asks for it.
    setImmediate(() => generateWorkspace(Date.now()))
    process.stdout.write(`Harina is at ${started.listening.url}\n`)
    if (!isThisMachine(address.host))
      process.stdout.write(
        `Open to the house network: anyone on it can read along. From another device over plain http the screen lock, offline use and persistent storage are not available. The played instruments answer ${instrumentsForAll ? 'every device of the house' : 'this machine alone (INSTRUMENTS=house opens them)'}.\n`,
      )
    for (const signal of ['SIGINT', 'SIGTERM'] as const)
      process.once(signal, () => void started.listening.close().then(() => process.exit(0)))
  }
}
