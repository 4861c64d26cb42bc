/** The kitchen's instruments, played over server-sent events: a scale and an air sensor. One of each for a server. */
import { actOnAir, airActSchema, freshAir, readAir, tickAir } from '@harina/core/air'
import { actOnScale, freshScale, readScale, scaleActSchema, tickScale } from '@harina/core/scale'
import express, { type ErrorRequestHandler, type Response, type Router } from 'express'

/** What the server has to know of an instrument to play it. */
interface Instrument<State, Act> {
  readonly name: string
  readonly fresh: State
  readonly tickMs: number
  tick(state: State, seconds: number, chance: () => number): State
  act(state: State, act: Act): State
  read(state: State): object
  /** Null for what one cannot do to it. */
  readAct(body: unknown): Act | null
}

type Dropping = { readonly act: 'drop'; readonly seconds: number }
const isDrop = (act: object): act is Dropping => 'act' in act && act.act === 'drop'

interface Playing {
  readonly router: Router
  hangUp(): void
}

function play<State, Act extends object>(instrument: Instrument<State, Act>, chance: () => number): Playing {
  const { name, tickMs } = instrument
  let state = instrument.fresh
  let downUntilMs = 0
  let timer: NodeJS.Timeout | null = null
  /** What lies on it goes on drying while nobody looks. */
  let tickedMs = Date.now()
  const listeners = new Set<Response>()
  const line = () => `data: ${JSON.stringify(instrument.read(state))}\n\n`
  const stop = () => {
    if (timer) clearInterval(timer)
    timer = null
  }
  const hangUp = () => {
    for (const listener of listeners) listener.end()
    listeners.clear()
    stop()
  }
  const catchUp = () => {
    const nowMs = Date.now()
    state = instrument.tick(state, Math.max(0, nowMs - tickedMs) / 1000, chance)
    tickedMs = nowMs
  }
  /** Runs only while somebody looks. */
  const start = () => {
    timer ??= setInterval(() => {
      catchUp()
      for (const listener of listeners) listener.write(line())
    }, tickMs)
    timer.unref()
  }

  const router = express.Router()
  router.get(`/${name}`, (request, answer) => {
    if (Date.now() < downUntilMs) return answer.status(503).type('text').send(`The ${name} does not answer.`)
    answer.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' })
    answer.flushHeaders()
    // A lost line is looked for again after a second.
    answer.write(`retry: 1000\n${line()}`)
    listeners.add(answer)
    start()
    request.on('close', () => {
      listeners.delete(answer)
      if (listeners.size === 0) stop()
    })
    return undefined
  })
  router.post(`/${name}`, express.json({ limit: '2kb' }), (request, answer) => {
    const act = instrument.readAct(request.body)
    if (!act) return answer.status(400).type('text').send(`That is nothing one can do to the ${name}.`)
    // What is done to it is done now, not since it was last looked at.
    catchUp()
    state = instrument.act(state, act)
    if (isDrop(act)) {
      downUntilMs = Date.now() + act.seconds * 1000
      hangUp()
    }
    return answer.status(204).end()
  })
  const refused: ErrorRequestHandler = (_error, _request, answer, _next) => {
    answer.status(400).type('text').send(`That is nothing one can do to the ${name}.`)
  }
  router.use(`/${name}`, refused)
  return { router, hangUp }
}

export interface Instruments {
  readonly router: Router
  close(): void
}

export function createInstruments(chance: () => number = Math.random): Instruments {
  const scale = play(
    {
      name: 'scale',
      fresh: freshScale,
      tickMs: 100,
      tick: tickScale,
      act: actOnScale,
      read: readScale,
      readAct: (body) => scaleActSchema.safeParse(body).data ?? null,
    },
    chance,
  )
  const air = play(
    {
      name: 'air',
      fresh: freshAir,
      tickMs: 2000,
      tick: tickAir,
      act: actOnAir,
      read: readAir,
      readAct: (body) => airActSchema.safeParse(body).data ?? null,
    },
    chance,
  )
  const router = express.Router()
  router.use(scale.router, air.router)
  return {
    router,
    close: () => {
      scale.hangUp()
      air.hangUp()
    },
  }
}
