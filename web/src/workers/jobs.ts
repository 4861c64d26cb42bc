/**
 * Work away from the page. A pool of a few workers, each doing one job at a time; a job tells how far it is, can be cancelled,
 * and settles whatever becomes of its worker: one that dies is replaced, and what waits goes on with another.
 */
import { expose, proxy, releaseProxy, wrap, type ProxyMethods, type Remote } from 'comlink'

export interface JobOptions {
  readonly signal?: AbortSignal | undefined
  readonly onProgress?: ((done: number, of: number) => void) | undefined
}
type Tell = (done: number, of: number) => void

/** What a worker can do: one input, one answer, and word of how far it is. */
export type Jobs = Readonly<Record<string, (input: never, tell: Tell) => unknown>>
type InputOf<A extends Jobs, N extends keyof A> = Parameters<A[N]>[0]
type AnswerOf<A extends Jobs, N extends keyof A> = Awaited<ReturnType<A[N]>>

export class JobCancelled extends Error {}
export class WorkerDied extends Error {}
/** A job that does not end is taken for dead. */
export class JobTooLong extends WorkerDied {}

type FarTell = Tell & Partial<ProxyMethods>

/** Jobs as they are called from the page: the line back to it is let go when the job ends. */
export const offered = (jobs: Jobs): Jobs =>
  Object.fromEntries(
    Object.entries(jobs).map(([name, job]) => [
      name,
      async (input: never, tell: FarTell | undefined) => {
        try {
          return await job(input, tell ?? (() => undefined))
        } finally {
          tell?.[releaseProxy]?.()
        }
      },
    ]),
  )

/** In a worker: offers its jobs. */
export const offer = (jobs: Jobs): void => expose(offered(jobs))

interface Hand {
  readonly jobs: Remote<Record<string, (input: unknown, tell: Tell | undefined) => unknown>>
  readonly died: Promise<never>
  dismiss(): void
}

function hire(spawn: () => Worker): Hand {
  const worker = spawn()
  const died = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => reject(new WorkerDied('a worker died at its job'))),
  )
  // Nobody may be waiting when it dies.
  died.catch(() => undefined)
  return { jobs: wrap(worker), died, dismiss: () => worker.terminate() }
}

/** Longer than any job of ours takes, on a slow device too. */
const LIMIT_MS = 180_000

/** The ways in which a job ends without an answer. It takes its time from `begin` on; `over` takes off what listens. */
function endings(signal: AbortSignal | undefined, limitMs: number) {
  let end: (error: Error) => void = () => undefined
  const stopped = new Promise<never>((_, reject) => (end = reject))
  // Nobody may be waiting when it ends so.
  stopped.catch(() => undefined)
  const cancel = () => end(new JobCancelled('cancelled'))
  signal?.addEventListener('abort', cancel)
  let timer: ReturnType<typeof setTimeout> | undefined
  return {
    stopped,
    begin: () => {
      timer = setTimeout(() => end(new JobTooLong('a job took too long')), limitMs)
    },
    over: () => {
      clearTimeout(timer)
      signal?.removeEventListener('abort', cancel)
    },
  }
}

export interface PoolOptions<A extends Jobs> {
  readonly hands?: number
  /** Where no worker can be had, the page does the job itself. Without it the job fails there. */
  readonly here?: () => Promise<A>
  readonly limitMs?: number
}

export interface Pool<A extends Jobs> {
  run<N extends keyof A & string>(job: N, input: InputOf<A, N>, options?: JobOptions): Promise<AnswerOf<A, N>>
}

export function createPool<A extends Jobs>(
  spawn: () => Worker,
  { hands = 1, here, limitMs = LIMIT_MS }: PoolOptions<A> = {},
): Pool<A> {
  const idle: Hand[] = []
  const queue: ((hand: Hand) => void)[] = []
  let hired = 0

  const free = (hand: Hand): void => {
    const next = queue.shift()
    if (next) next(hand)
    else idle.push(hand)
  }
  const replace = (hand: Hand): void => {
    hand.dismiss()
    hired -= 1
    const next = queue.shift()
    if (!next) return
    hired += 1
    next(hire(spawn))
  }
  /** A hand of one's own, and the place in the queue given up if nobody waits for it any more. */
  const lease = (signal: AbortSignal | undefined): Promise<Hand> => {
    const waiting = idle.pop()
    if (waiting) return Promise.resolve(waiting)
    if (hired < hands) {
      const hand = hire(spawn)
      hired += 1
      return Promise.resolve(hand)
    }
    return new Promise((resolve) => {
      const leave = () => {
        const at = queue.indexOf(taken)
        if (at >= 0) queue.splice(at, 1)
      }
      const taken = (hand: Hand) => {
        signal?.removeEventListener('abort', leave)
        resolve(hand)
      }
      queue.push(taken)
      signal?.addEventListener('abort', leave, { once: true })
    })
  }

  return {
    async run(job, input, { signal, onProgress }: JobOptions = {}) {
      if (signal?.aborted) throw new JobCancelled('cancelled')
      if (typeof Worker === 'undefined' && here)
        return (await here())[job]!(input, onProgress ?? (() => undefined)) as never
      const { stopped, begin, over } = endings(signal, limitMs)
      const hand = await Promise.race([lease(signal), stopped]).catch((error: unknown) => {
        over()
        throw error
      })
      begin()
      // Word that is still on its way when the job has ended is word of nothing.
      let isOver = false
      const tell = onProgress && proxy((done: number, of: number) => void (isOver || onProgress(done, of)))
      const work = Promise.resolve(hand.jobs[job]!(input, tell))
      // Whoever wins the race, the other's end is nobody's business.
      work.catch(() => undefined)
      try {
        const answer = await Promise.race([work, hand.died, stopped])
        free(hand)
        return answer as never
      } catch (error) {
        if (error instanceof JobCancelled || error instanceof WorkerDied) replace(hand)
        else free(hand)
        throw error
      } finally {
        isOver = true
        over()
      }
    },
  }
}

/** Answers by their input: asked for once, kept while there is room, the longest unused given up first. A failure is not kept. */
export function remembered<I, O>(ask: (input: I) => Promise<O>, keyOf: (input: I) => string, most: number) {
  const known = new Map<string, Promise<O>>()
  return (input: I): Promise<O> => {
    const key = keyOf(input)
    const answer = known.get(key) ?? ask(input)
    known.delete(key)
    known.set(key, answer)
    answer.catch(() => known.get(key) === answer && known.delete(key))
    for (const oldest of known.keys()) {
      if (known.size <= most) break
      known.delete(oldest)
    }
    return answer
  }
}
