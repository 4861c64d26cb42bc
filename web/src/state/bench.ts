/** What a tap at the bench does: recorded first, and shown once it is stored, so that what is seen is what is kept. */
import {
  catchUp,
  clockThatFollows,
  currentStep,
  replay,
  undoable,
  redoable,
  type Batch,
  type BenchAction,
  type BenchEvent,
  type BenchState,
} from '@harina/core'
import { nanoid } from 'nanoid'
import { formatISO } from 'date-fns'
import { repository } from '../storage/index.ts'
import { batchRecorded } from './batchesSlice.ts'
import { benchHold, tellElsewhere } from './benchLock.ts'
import { tellFailure, tellStored } from './failure.ts'
import { store } from './store.ts'
import { once } from './workspace.ts'

/** ISO 8601 with this place's offset, to the millisecond: what one tap recorded carries one time. */
export function timeNow(now = new Date()): string {
  const iso = formatISO(now)
  const ms = String(now.getMilliseconds()).padStart(3, '0')
  return iso.replace(/(T\d\d:\d\d:\d\d)/, `$1.${ms}`)
}

let lastAt = ''
/** Never the time of the tap before: two taps in one millisecond must undo one by one. */
function tapTime(): string {
  let now = new Date()
  while (timeNow(now) === lastAt) now = new Date(now.getTime() + 1)
  lastAt = timeNow(now)
  return lastAt
}

const stamped = (actions: readonly BenchAction[]): BenchEvent[] => {
  const at = tapTime()
  return actions.map((action) => ({ ...action, id: nanoid(), at }) as BenchEvent)
}

/** Whether it is stored. The same tap while the first is on its way is the same press twice, and is none. */
async function stored(tap: string, keep: () => Promise<readonly Batch[]>): Promise<boolean> {
  if (benchHold() === 'elsewhere') {
    tellElsewhere()
    return false
  }
  const recorded = await once(tap, async () => {
    try {
      for (const batch of await keep()) store.dispatch(batchRecorded(batch))
      tellStored()
      return true
    } catch (error) {
      tellFailure(error, 'Nothing of this tap was recorded; tap again.')
      return false
    }
  })
  return recorded ?? false
}

const write = (batch: string, actions: readonly BenchAction[]): Promise<boolean> =>
  stored(`${batch} ${JSON.stringify(actions)}`, async () => [await repository.batches.record(batch, stamped(actions))])

/** Stores what one tap did at the bench; whether it is stored. */
export const recordTap = ({ id }: Pick<Batch, 'id'>, ...actions: BenchAction[]): Promise<boolean> => write(id, actions)

/** Clocks of the maker's own, numbered in the batch after those it has. */
export function ownTimers(
  { timers }: Pick<BenchState, 'timers'>,
  clocks: readonly { readonly name: string; readonly minutes: number }[],
): readonly BenchAction[] {
  const next = Object.keys(timers).filter((id) => id.startsWith('own-')).length + 1
  return clocks.map(({ name, minutes }, n) => ({ type: 'timer-started', timer: `own-${next + n}`, name, minutes }))
}

/** Stores a tap that also finishes the step at hand, and starts the clock of one that goes on from it at once. */
export function finishStep(batch: Batch, ...actions: BenchAction[]): Promise<boolean> {
  const step = currentStep(batch.plan, replay(batch.plan, batch.events))
  if (!step) return Promise.resolve(false)
  const done: BenchAction[] = [...actions, { type: 'step-done', step: step.id }]
  // What follows at once is timed by the same press, and taken back with it.
  const then = clockThatFollows(batch.plan, [...batch.events, ...stamped(done)], step.id, Date.now())
  return write(batch.id, then ? [...done, then] : done)
}

/** Stores that all is done up to a step, as planned, and starts the clock of that step where one goes on at once. */
export function catchUpTo(batch: Batch, to: string): Promise<boolean> {
  const actions = catchUp(batch.plan, replay(batch.plan, batch.events), to, timeNow())
  const last = actions?.at(-1)
  if (!actions || last?.type !== 'step-done') return Promise.resolve(false)
  const then = clockThatFollows(batch.plan, [...batch.events, ...stamped(actions)], last.step, Date.now())
  return write(batch.id, then ? [...actions, then] : actions)
}

/** Does something with all of a batch, or with a share that becomes a batch of its own: that batch; null where nothing was stored. */
async function withShare(
  batch: Batch,
  share: number,
  other: string,
  action: BenchAction,
  what?: string,
): Promise<string | null> {
  if (share >= 1) return (await write(batch.id, [action])) ? batch.id : null
  const split = { type: 'split', keeps: 1 - share, other, part: 'kept', ...(what ? { for: what } : {}) } as const
  const isStored = await stored(`${batch.id} ${JSON.stringify([split, action])}`, () => {
    const [first, second] = stamped([split, action])
    return repository.batches.recordParted(batch.id, first!, other, second!)
  })
  return isStored ? other : null
}

/** Takes a share of what is kept out, to go on with, while the rest stays: the batch that came out. */
export function takeOut(batch: Batch, share: number, other: string): Promise<string | null> {
  const step = currentStep(batch.plan, replay(batch.plan, batch.events))
  return step ? withShare(batch, share, other, { type: 'step-done', step: step.id }) : Promise.resolve(null)
}

/** Puts a share of the skins away empty: the batch they are. */
export const keepSkins = (
  batch: Batch,
  share: number,
  other: string,
  finish: 'hold' | 'freeze',
): Promise<string | null> =>
  withShare(batch, share, other, { type: 'skins-kept', finish }, finish === 'freeze' ? 'the freezer' : 'the fridge')

export async function undoTap({ id, events }: Batch): Promise<boolean> {
  const ids = undoable(events)
  return ids.length > 0 && (await write(id, [{ type: 'undone', events: [...ids] }]))
}

export async function redoTap({ id, events }: Batch): Promise<boolean> {
  const ids = redoable(events)
  return ids.length > 0 && (await write(id, [{ type: 'undone', events: [...ids] }]))
}

/** Takes back the last thing written of a batch that has ended: what ended it, and it stands at the bench again; or a line more. */
export async function undoEnded(id: string): Promise<boolean> {
  const batch = await repository.batches.get(id).catch(() => undefined)
  return batch ? undoTap(batch) : false
}
