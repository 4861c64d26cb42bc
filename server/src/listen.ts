import type { Express } from 'express'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'

export interface Address {
  readonly host: string
  readonly port: number
}

export interface Listening {
  readonly url: string
  close(): Promise<void>
}

export type ListenResult =
  { readonly ok: true; readonly listening: Listening } | { readonly ok: false; readonly message: string }

const refusals: Readonly<Record<string, (address: Address) => string>> = {
  EADDRINUSE: ({ port }) =>
    `Port ${port} is taken. Stop what runs there, or choose another: PORT=${port + 1} npm run demo`,
  EACCES: ({ port }) => `Port ${port} needs more rights than you have. Choose one above 1023, as PORT=4173.`,
  EADDRNOTAVAIL: ({ host }) => `This machine has no address ${host}. Leave HOST out to serve this machine alone.`,
}

export const isThisMachine = (host: string): boolean =>
  host === 'localhost' || host === '::1' || host.startsWith('127.')

/** Reads PORT and HOST; anything that is no port is refused in words. */
export function addressFrom(env: Readonly<Record<string, string | undefined>>): Address | string {
  const written = env['PORT'] ?? '4173'
  const port = Number(written)
  if (!/^\d+$/.test(written) || port > 65_535)
    return `PORT=${written} is not a port. Give a whole number from 0 to 65535.`
  return { port, host: env['HOST'] || '127.0.0.1' }
}

const closer = (server: Server) => () =>
  new Promise<void>((resolve) => {
    server.close(() => resolve())
    server.closeAllConnections()
  })

export function listen(app: Express, address: Address): Promise<ListenResult> {
  const server = createServer(app)
  return new Promise((resolve) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const words = refusals[error.code ?? '']
      resolve({ ok: false, message: words ? words(address) : `The server could not start: ${error.message}` })
    })
    server.listen(address.port, address.host, () => {
      const { port } = server.address() as AddressInfo
      const shown = address.host.includes(':') ? `[${address.host}]` : address.host
      resolve({ ok: true, listening: { url: `http://${shown}:${port}/`, close: closer(server) } })
    })
  })
}
