import {
  computeSheet,
  currentStep,
  planBatch,
  replay,
  undoable,
  redoable,
  type Batch,
  type BenchAction,
  type BenchEvent,
  type Kitchen,
  type Sheet,
} from '@harina/core'
import { nanoid } from 'nanoid'
import { formatISO } from 'date-fns'
import { PartWorkedOn, repository } from '../storage/index.ts'
import { benchHold, takeBenchOver } from './benchLock.ts'
import { notify, notifyTrouble } from './notify.ts'

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

async function write(batch: string, actions: readonly BenchAction[]): Promise<void> {
  if (benchHold() === 'elsewhere')
    return notify('Another tab holds the bench', {
      description: 'Nothing was recorded here. Take the bench over, then tap again.',
    })
  try {
    await repository.record(batch, stamped(actions))
  } catch (error) {
    if (error instanceof PartWorkedOn)
      return notify('The other part has gone its own way', {
        description: 'It has been worked on since the split. Give it up first, then undo.',
      })
    notifyTrouble(
      'That tap could not be stored',
      `Nothing was changed. Free some space on this device, then tap again. (${error instanceof Error ? error.name : 'unknown'})`,
    )
  }
}

/** Stores what one tap did at the bench. */
export const recordTap = (batch: Batch, ...actions: BenchAction[]): Promise<void> => write(batch.id, actions)

/** Stores a tap that also finishes the step at hand. */
export function finishStep(batch: Batch, ...actions: BenchAction[]): Promise<void> {
  const step = currentStep(batch.plan, replay(batch.plan, batch.events))
  return step ? write(batch.id, [...actions, { type: 'step-done', step: step.id }]) : Promise.resolve()
}

export async function undoTap({ id, events }: Batch): Promise<void> {
  const ids = undoable(events)
  if (ids.length > 0) return write(id, [{ type: 'undone', events: [...ids] }])
  if (events.some((event) => event.type === 'split'))
    notify('Nothing here can be taken back', {
      description: 'The split itself is undone in the batch it was carved off.',
    })
}

export async function redoTap({ id, events }: Batch): Promise<void> {
  const ids = redoable(events)
  if (ids.length > 0) await write(id, [{ type: 'undone', events: [...ids] }])
}

/** Takes a work sheet to the bench, so many mixes of it; the batches' identifiers come back, the first one first. */
export async function takeToBench(
  sheet: Sheet,
  mixes: number,
  kitchen: Kitchen,
  formula: string | null,
): Promise<readonly string[]> {
  // Who begins a batch wants to work on it.
  void takeBenchOver()
  const ids = Array.from({ length: mixes }, () => nanoid())
  for (const [index, id] of ids.entries()) {
    const name = mixes === 1 ? sheet.name : `${sheet.name.slice(0, 100)}, mix ${index + 1} of ${mixes}`
    const worked = computeSheet({ ...sheet, name }, kitchen)
    if (!worked.ok) throw new Error(`a sheet that worked does not: ${worked.problem.code}`)
    await repository.startBatch(id, planBatch(worked.value, kitchen, timeNow(), formula))
  }
  return ids
}
