/** One way to undo: each station says what its own takes back, and where there is nothing, that is said. */
import { redoable, specOf, undoable, type Batch, type BenchEvent, type PlannedStep } from '@harina/core'
import { repository } from '../storage/index.ts'
import { redoTap, undoTap } from './bench.ts'
import { redone, undone } from './draftSlice.ts'
import { redoGear, undoGear } from './gearHistory.ts'
import { notify } from './notify.ts'
import { store } from './store.ts'

interface Tap {
  readonly events: readonly BenchEvent[]
  /** The step an event names; null where it names none, as a clock of the maker's own. */
  readonly stepOf: (event: BenchEvent) => PlannedStep | null
}

/** Whether a tap was made at this station, on what is in view there. */
type IsHere = (tap: Tap, shown: string | undefined) => boolean

/** Whose last change is taken back: of the sheet, of Gear, of the batch that is open, or of the taps made at this station. */
export type TakesBack = 'sheet' | 'gear' | 'batch' | 'ended' | IsHere

/** Trays are laid out, weighed, moved and packed at the rack; one that is looked at is alone in view. */
export const atTheRack: IsHere = ({ events }, shown) =>
  events.every(({ type }) => type.startsWith('tray-')) &&
  (shown === undefined || events.some((event) => 'tray' in event && event.tray === shown))

const POT_EVENTS: ReadonlySet<BenchEvent['type']> = new Set(['pot-chosen', 'up-at', 'cooked', 'finish-chosen'])
/** The pot: its water, its hour, its clocks, and what goes into it or comes out. */
export const atThePot: IsHere = ({ events, stepOf }) =>
  events.every((event) => {
    const step = stepOf(event)
    const isCooking = step !== null && specOf(step).stage === 'cook'
    if (event.type.startsWith('timer-')) return step === null || isCooking
    return POT_EVENTS.has(event.type) || (event.type === 'step-done' && (isCooking || step?.kind === 'air'))
  })

type Direction = 'back' | 'forth'

/** What one press would take back of a batch, or bring back. */
function lastTap({ events }: Batch, direction: Direction): readonly BenchEvent[] {
  const byId = new Map(events.map((event) => [event.id, event]))
  const named = (ids: readonly string[]) => ids.flatMap((id) => byId.get(id) ?? [])
  if (direction === 'back') return named(undoable(events))
  return named(redoable(events)).flatMap((undo) => (undo.type === 'undone' ? named(undo.events) : []))
}

/** Whether there was a tap to take back; a store that refuses says so itself. */
async function tapOf(batch: Batch | undefined, direction: Direction): Promise<boolean> {
  if (!batch || lastTap(batch, direction).length === 0) return false
  await (direction === 'back' ? undoTap : redoTap)(batch)
  return true
}

const stepOf =
  ({ plan }: Batch): Tap['stepOf'] =>
  (event) => {
    const id = 'step' in event ? event.step : 'timer' in event ? event.timer : null
    return plan.steps.find((step) => step.id === id) ?? null
  }

const openBatches = () => store.getState().batches.open

/** Of all open batches the one that was tapped last, if it was at this station. */
function lastAt(isHere: IsHere, shown: string | undefined, direction: Direction): Batch | undefined {
  const taps = openBatches()
    .map((batch) => ({ batch, tap: lastTap(batch, direction) }))
    .filter(({ batch, tap }) => tap.length > 0 && isHere({ events: tap, stepOf: stepOf(batch) }, shown))
  return taps.sort((a, b) => Date.parse(b.tap[0]!.at) - Date.parse(a.tap[0]!.at))[0]?.batch
}

/** A batch that has ended, where something was written under it since: what ended it stays. */
async function writtenUnder(id: string | undefined, direction: Direction): Promise<Batch | undefined> {
  const batch = id === undefined ? undefined : await repository.batches.get(id).catch(() => undefined)
  const ends = batch && lastTap(batch, direction).some(({ type }) => type === 'closed' || type === 'abandoned')
  return ends ? undefined : batch
}

function sheetStep(direction: Direction): boolean {
  const before = store.getState().draft.present
  store.dispatch(direction === 'back' ? undone() : redone())
  return store.getState().draft.present !== before
}

async function take(what: TakesBack, id: string | undefined, direction: Direction): Promise<boolean> {
  if (typeof what === 'function') return tapOf(lastAt(what, id, direction), direction)
  switch (what) {
    case 'sheet':
      return sheetStep(direction)
    case 'gear':
      return direction === 'back' ? undoGear() : redoGear()
    case 'batch':
      return tapOf(
        openBatches().find((batch) => batch.id === id),
        direction,
      )
    case 'ended':
      return tapOf(await writtenUnder(id, direction), direction)
  }
}

/** Why a tap that was made cannot be taken back here. */
function whyNot(id: string | undefined): string | undefined {
  const isPart = openBatches().some((batch) => batch.id === id && batch.events.some(({ type }) => type === 'split'))
  return isPart ? 'Undo the split in the batch it came from.' : undefined
}

/** Takes back what was done last in view, or brings it back; where there is nothing, it is said. */
export async function takeBack(what: TakesBack, id: string | undefined, direction: Direction): Promise<void> {
  if (await take(what, id, direction)) return
  const nothing = direction === 'back' ? 'Nothing to take back here' : 'Nothing to bring back here'
  const description = whyNot(id)
  notify(nothing, { id: nothing, ...(description ? { description } : {}) })
}
