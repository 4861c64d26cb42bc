import express, { type Express } from 'express'
import helmet from 'helmet'
import { join } from 'node:path'
import { createInstruments } from './instruments.ts'

export interface AppOptions {
  /** The built client. */
  readonly clientDir: string
  /** A workspace for a browser that has none yet; made anew at each request, so that its clock is right. */
  readonly startWorkspace?: (nowMs: number) => unknown
}

/** Scripts, fonts and data come from here and nowhere else. Style attributes are set by drawings and toasts. */
const contentSecurityPolicy = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    // The blend solver is WebAssembly of our own, served from here like any script.
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    frameAncestors: ["'none'"],
    formAction: ["'none'"],
  },
}

const YEAR_S = 31_536_000

/** Serves the client with security headers; every address that is no file is the client's own. */
export function createApp({ clientDir, startWorkspace }: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  // Plain http at home: no promise of https that this address could not keep.
  app.use(helmet({ contentSecurityPolicy, strictTransportSecurity: false }))
  app.get('/workspace/start.harina.json', (_, answer) => {
    answer.set('Cache-Control', 'no-store')
    if (startWorkspace) answer.json(startWorkspace(Date.now()))
    else answer.status(204).end()
  })
  app.use('/instruments', createInstruments().router)
  app.use(
    '/assets',
    express.static(join(clientDir, 'assets'), { immutable: true, maxAge: YEAR_S * 1000, fallthrough: false }),
  )
  app.use(
    express.static(clientDir, {
      cacheControl: false,
      setHeaders: (answer) => answer.setHeader('Cache-Control', 'no-cache'),
    }),
  )
  app.use((request, answer) => {
    if (request.method !== 'GET') return answer.status(405).type('text').send('Only reading is possible here.')
    if (/\.\w+$/.test(request.path)) return answer.status(404).type('text').send('Not here.')
    return answer.set('Cache-Control', 'no-cache').sendFile('index.html', { root: clientDir })
  })
  return app
}
