import compression from 'compression'
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express'
import staticFiles from 'express-static-gzip'
import helmet from 'helmet'
import { join } from 'node:path'
import { createInstruments } from './instruments.ts'
import { onlyThisMachine } from './onlyThisMachine.ts'

export interface AppOptions {
  /** The built client. */
  readonly clientDir: string
  /** A workspace for a browser that has none yet; made anew at each request, so that its clock is right. */
  readonly startWorkspace?: (nowMs: number) => unknown
  /** The played instruments answer any device of the house, not this machine alone. */
  readonly instrumentsForAll?: boolean
}

/** Scripts, fonts and data come from here and nowhere else. Style attributes are set by drawings and toasts. */
const contentSecurityPolicy = {
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:', 'blob:'],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    frameAncestors: ["'none'"],
    formAction: ["'none'"],
  },
}

/** What the client never asks of a device is refused for whatever may come to run in it; the screen it does keep awake. */
const PERMISSIONS = [
  ...['accelerometer', 'camera', 'display-capture', 'geolocation', 'gyroscope', 'magnetometer', 'microphone'],
  ...['midi', 'payment', 'usb'],
]
  .map((name) => `${name}=()`)
  .concat('screen-wake-lock=(self)')
  .join(', ')

const YEAR_S = 31_536_000

const notHere: RequestHandler = (_, answer) => void answer.status(404).type('text').send('Not here.')

/** Nothing of the machine is told: no path, no stack. */
const refused: ErrorRequestHandler = (error: { status?: unknown }, _request, answer, next) => {
  if (answer.headersSent) return next(error)
  const status = typeof error.status === 'number' && error.status >= 400 && error.status < 500 ? error.status : 500
  answer
    .status(status)
    .type('text')
    .send(status === 500 ? 'This did not work here. Try again.' : 'This cannot be asked for.')
}

/** Serves the client with security headers; every address that is no file is the client's own. */
export function createApp({ clientDir, startWorkspace, instrumentsForAll = false }: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  // Plain http at home: no promise of https that this address could not keep.
  app.use(helmet({ contentSecurityPolicy, strictTransportSecurity: false }))
  app.use((_, answer, next) => {
    answer.set('Permissions-Policy', PERMISSIONS)
    next()
  })
  if (!instrumentsForAll) app.use('/instruments', onlyThisMachine)
  app.use('/instruments', createInstruments().router)
  // What is made at the moment of asking; readings, which must not wait, are above.
  app.use(compression())
  app.get('/workspace/start.harina.json', (_, answer) => {
    answer.set('Cache-Control', 'no-store')
    if (startWorkspace) answer.json(startWorkspace(Date.now()))
    else answer.status(204).end()
  })
  // The build has put a smaller file beside each: a name with its contents' hash is kept for a year, anything else asked after.
  const smaller = { enableBrotli: true, orderPreference: ['br', 'gz'] }
  app.use(
    '/assets',
    staticFiles(join(clientDir, 'assets'), { ...smaller, serveStatic: { immutable: true, maxAge: YEAR_S * 1000 } }),
    notHere,
  )
  app.use(
    staticFiles(clientDir, {
      ...smaller,
      serveStatic: { cacheControl: false, setHeaders: (answer) => answer.setHeader('Cache-Control', 'no-cache') },
    }),
  )
  app.use((request, answer) => {
    if (request.method !== 'GET') return answer.status(405).type('text').send('Only reading is possible here.')
    if (/\.\w+$/.test(request.path)) return answer.status(404).type('text').send('Not here.')
    return answer.set('Cache-Control', 'no-cache').sendFile('index.html', { root: clientDir })
  })
  app.use(refused)
  return app
}
