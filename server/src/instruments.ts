/** The kitchen's instruments, played: a scale over server-sent events, and what hands do to it. One for each server. */
import { actOnScale, freshScale, readScale, scaleActSchema, tickScale, type ScaleState } from '@harina/core/scale'
import express, { type ErrorRequestHandler, type Response, type Router } from 'express'

const TICK_MS = 100

export interface Instruments {
  readonly router: Router
  close(): void
}

export function createInstruments(chance: () => number = Math.random): Instruments {
  let scale: ScaleState = freshScale
  let downUntilMs = 0
  let timer: NodeJS.Timeout | null = null
  const listeners = new Set<Response>()

  const stop = () => {
    if (timer) clearInterval(timer)
    timer = null
  }
  const hangUp = () => {
    for (const listener of listeners) listener.end()
    listeners.clear()
    stop()
  }
  /** Runs only while somebody looks. */
  const start = () => {
    timer ??= setInterval(() => {
      scale = tickScale(scale, TICK_MS / 1000, chance)
      const line = `data: ${JSON.stringify(readScale(scale))}\n\n`
      for (const listener of listeners) listener.write(line)
    }, TICK_MS)
    timer.unref()
  }

  const router = express.Router()
  router.get('/scale', (request, answer) => {
    if (Date.now() < downUntilMs) return answer.status(503).type('text').send('The scale does not answer.')
    answer.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' })
    answer.flushHeaders()
    // A lost line is looked for again after a second.
    answer.write(`retry: 1000\ndata: ${JSON.stringify(readScale(scale))}\n\n`)
    listeners.add(answer)
    start()
    request.on('close', () => {
      listeners.delete(answer)
      if (listeners.size === 0) stop()
    })
    return undefined
  })
  router.post('/scale', express.json({ limit: '2kb' }), (request, answer) => {
    const act = scaleActSchema.safeParse(request.body)
    if (!act.success) return answer.status(400).type('text').send('That is nothing one can do to a scale.')
    scale = actOnScale(scale, act.data)
    if (act.data.act === 'drop') {
      downUntilMs = Date.now() + act.data.seconds * 1000
      hangUp()
    }
    return answer.status(204).end()
  })
  const refused: ErrorRequestHandler = (_error, _request, answer, _next) => {
    answer.status(400).type('text').send('That is nothing one can do to a scale.')
  }
  router.use(refused)
  return { router, close: hangUp }
}
