/**
 * @jest-environment node
 *
 * Jobs over real message channels: whatever becomes of a worker, every call ends.
 */
import { expose } from 'comlink'
import { createPool, JobCancelled, JobTooLong, offered, remembered, WorkerDied, type Jobs } from './jobs.ts'

/** As a worker looks from outside, with its jobs on the other end of a channel. */
class PlayedWorker {
  static readonly made: PlayedWorker[] = []
  dead = false
  readonly #page: MessagePort
  readonly #inside: MessagePort
  readonly #onError: (() => void)[] = []

  constructor(jobs: Jobs) {
    const { port1, port2 } = new MessageChannel()
    this.#page = port1
    this.#inside = port2
    port1.start()
    expose(offered(jobs), port2)
    PlayedWorker.made.push(this)
  }
  postMessage(message: unknown, transfer: Transferable[] = []) {
    this.#page.postMessage(message, transfer)
  }
  addEventListener(type: string, listener: () => void) {
    if (type === 'error') this.#onError.push(listener)
    else this.#page.addEventListener(type, listener)
  }
  removeEventListener(type: string, listener: () => void) {
    this.#page.removeEventListener(type, listener)
  }
  terminate() {
    this.dead = true
    this.#page.close()
    this.#inside.close()
  }
  die() {
    for (const listener of this.#onError) listener()
  }
}

const never = () => new Promise<never>(() => undefined)
const jobs = {
  double: (n: number) => 2 * n,
  steps: async (of: number, tell: (done: number, of: number) => void) => {
    for (let done = 1; done <= of; done += 1) {
      tell(done, of)
      await new Promise((resolve) => setTimeout(resolve, 15))
    }
    return of
  },
  refuse: () => {
    throw new Error('no')
  },
  hang: never,
  /** A burst of words, all on their way before the first is heard. */
  count: async (_: undefined, tell: (done: number, of: number) => void) => {
    for (let done = 1; done <= 500; done += 1) tell(done, 500)
    return never()
  },
}
const pool = (hands = 1, limitMs?: number) =>
  createPool<typeof jobs>(() => new PlayedWorker(jobs) as unknown as Worker, {
    hands,
    ...(limitMs === undefined ? {} : { limitMs }),
  })
const workers = () => PlayedWorker.made

beforeAll(() => {
  Object.assign(globalThis, { Worker: PlayedWorker })
})
beforeEach(() => {
  workers().length = 0
})
afterEach(() => workers().forEach((worker) => worker.terminate()))

it('answers, tells how far it is, and keeps one worker for job after job', async () => {
  const { run } = pool()
  expect(await Promise.all([run('double', 4), run('double', 5)])).toEqual([8, 10])
  const told: number[] = []
  expect(await run('steps', 3, { onProgress: (done) => told.push(done) })).toBe(3)
  expect(told).toEqual([1, 2, 3])
  expect(workers()).toHaveLength(1)
})

it('a job that fails ends so, and the worker takes the next', async () => {
  const { run } = pool()
  await expect(run('refuse', undefined as never)).rejects.toThrow('no')
  expect(await run('double', 1)).toBe(2)
  expect(workers()).toHaveLength(1)
})

it('cancelled at its job the worker goes, and what waited is done by another', async () => {
  const { run } = pool()
  const stop = new AbortController()
  const hanging = run('hang', undefined as never, { signal: stop.signal })
  const waiting = run('double', 3)
  await new Promise((resolve) => setTimeout(resolve, 10))
  stop.abort()
  await expect(hanging).rejects.toThrow(JobCancelled)
  expect(await waiting).toBe(6)
  expect(workers().map(({ dead }) => dead)).toEqual([true, false])
})

it('word that comes after the end is not told', async () => {
  const { run } = pool()
  const stop = new AbortController()
  const told: number[] = []
  const counting = run('count', undefined as never, {
    signal: stop.signal,
    onProgress: (done) => {
      told.push(done)
      stop.abort()
    },
  })
  await expect(counting).rejects.toThrow(JobCancelled)
  const atTheEnd = told.length
  await new Promise((resolve) => setTimeout(resolve, 30))
  expect(told).toHaveLength(atTheEnd)
})

it('cancelled while it waits it is never begun, and disturbs nobody', async () => {
  const { run } = pool()
  const [first, second] = [new AbortController(), new AbortController()]
  const hanging = run('hang', undefined as never, { signal: first.signal })
  const waiting = run('double', 3, { signal: second.signal })
  second.abort()
  await expect(waiting).rejects.toThrow(JobCancelled)
  expect(workers().map(({ dead }) => dead)).toEqual([false])
  first.abort()
  await expect(hanging).rejects.toThrow(JobCancelled)
  expect(await run('double', 2)).toBe(4)
  await expect(run('double', 2, { signal: first.signal })).rejects.toThrow(JobCancelled)
})

it('a worker that dies ends its call; the next call has a new one', async () => {
  const { run } = pool(2)
  const [lost, other] = [run('hang', undefined as never), run('double', 7)]
  await new Promise((resolve) => setTimeout(resolve, 10))
  workers()[0]!.die()
  await expect(lost).rejects.toThrow(WorkerDied)
  expect(await other).toBe(14)
  expect(await Promise.all([run('double', 1), run('double', 2), run('double', 3)])).toEqual([2, 4, 6])
})

it('where there are no workers the page does it itself, if it was told how', async () => {
  Reflect.deleteProperty(globalThis, 'Worker')
  const spawn = () => {
    throw new Error('no workers here')
  }
  expect(await createPool<typeof jobs>(spawn, { here: async () => jobs }).run('double', 4)).toBe(8)
  await expect(createPool<typeof jobs>(spawn).run('double', 4)).rejects.toThrow('no workers here')
  Object.assign(globalThis, { Worker: PlayedWorker })
})

it('remembers so many answers, the longest unused going first, and no failure', async () => {
  let asked = 0
  const ask = remembered(
    async (n: number) => {
      asked += 1
      if (n < 0) throw new Error('no')
      return 2 * n
    },
    String,
    2,
  )
  expect([await ask(1), await ask(2), await ask(1), await ask(3), await ask(1)]).toEqual([2, 4, 2, 6, 2])
  expect(asked).toBe(3)
  await ask(2)
  expect(asked).toBe(4)
  await expect(ask(-1)).rejects.toThrow('no')
  await expect(ask(-1)).rejects.toThrow('no')
  expect(asked).toBe(6)
})

it('a job that does not end is ended, its worker replaced, and what waited behind it goes on', async () => {
  const { run } = pool(1, 60)
  const stuck = run('hang', undefined as never)
  const behind = run('double', 4)
  await expect(stuck).rejects.toBeInstanceOf(JobTooLong)
  expect(await behind).toBe(8)
  expect(workers().map(({ dead }) => dead)).toEqual([true, false])
})

it('leaves nothing listening on a signal that outlives the job', async () => {
  const { signal } = new AbortController()
  const [add, remove] = [jest.spyOn(signal, 'addEventListener'), jest.spyOn(signal, 'removeEventListener')]
  const { run } = pool()
  await Promise.all([run('double', 1, { signal }), run('double', 2, { signal }), run('double', 3, { signal })])
  await expect(run('refuse', undefined as never, { signal })).rejects.toThrow()
  const heard = add.mock.calls.map(([, listener]) => listener)
  expect(heard.length).toBeGreaterThanOrEqual(4)
  expect(heard.filter((listener) => !remove.mock.calls.some(([, gone]) => gone === listener))).toEqual([])
})
