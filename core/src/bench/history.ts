/** The book of a batch: what of it stands, what was put right, what can be taken back. */
import type { BenchEvent } from '../model/index.ts'

/** An entry with the figure it should have had; one without a figure stays as it is. */
function putRight(event: BenchEvent, figure: number): BenchEvent {
  switch (event.type) {
    case 'weighed':
    case 'poured':
    case 'lumped':
    case 'jar-weighed':
      return { ...event, grams: figure }
    case 'sampled':
    case 'tray-laid':
    case 'tray-weighed':
      return figure > 0 ? { ...event, grams: figure } : event
    case 'added-flour':
      return { ...event, grams: figure, saltG: event.grams > 0 ? (event.saltG * figure) / event.grams : 0 }
    case 'shaped':
      return { ...event, pieces: Math.round(figure) }
    case 'cooked':
      return { ...event, minutes: figure }
    default:
      return event
  }
}

/** The figure of an entry, where it has one that can be put right. */
export function figureOf(event: BenchEvent): number | null {
  switch (event.type) {
    case 'weighed':
    case 'poured':
    case 'lumped':
    case 'jar-weighed':
    case 'sampled':
    case 'tray-laid':
    case 'tray-weighed':
    case 'added-flour':
      return event.grams
    case 'shaped':
      return event.pieces
    case 'cooked':
      return event.minutes
    default:
      return null
  }
}

/**
 * Events still in force, in order: an `undone` event takes back those it names, and can be taken back itself; an `amended`
 * one puts the figure of an earlier one right.
 */
export function activeEvents(events: readonly BenchEvent[]): readonly BenchEvent[] {
  const takenBack = new Set<string>()
  for (const event of [...events].reverse())
    if (event.type === 'undone' && !takenBack.has(event.id)) event.events.forEach((id) => takenBack.add(id))
  const live = events.filter((event) => event.type !== 'undone' && !takenBack.has(event.id))
  const figures = new Map(live.flatMap((event) => (event.type === 'amended' ? [[event.of, event.figure]] : [])))
  if (figures.size === 0) return live
  return live.map((event) => {
    const figure = figures.get(event.id)
    return figure === undefined ? event : putRight(event, figure)
  })
}

/** Closed, or given up: it is no longer at the bench. */
export const isEnded = ({ events }: { readonly events: readonly BenchEvent[] }): boolean =>
  activeEvents(events).some(({ type }) => type === 'closed' || type === 'abandoned')

/** A clock put right is the device's doing and no tap: it is neither undone nor in the way of an undo. */
const isTap = (event: BenchEvent): boolean => event.type !== 'clock-set'

/** The last tap: what was recorded last, back to where the time is another. */
function lastTap(events: readonly BenchEvent[]): readonly BenchEvent[] {
  const taps = events.filter(isTap)
  let start = taps.length
  while (start > 0 && taps[start - 1]?.at === taps.at(-1)?.at) start -= 1
  return taps.slice(start)
}

/**
 * Ids that an undo would take back now: those of the last tap still standing. A part carved off a dough begins with that: it
 * cannot be made whole from its own side.
 */
export function undoable(events: readonly BenchEvent[]): readonly string[] {
  const tap = lastTap(activeEvents(events))
  return tap.some((event) => event.type === 'split' && event.part === 'taken') ? [] : tap.map(({ id }) => id)
}

/** Ids that a redo would take back now: the last undo, if nothing else has happened since. */
export function redoable(events: readonly BenchEvent[]): readonly string[] {
  const cancelled = new Set<string>()
  const undos = new Set(events.flatMap((event) => (event.type === 'undone' ? [event.id] : [])))
  for (const event of events.filter(isTap).reverse()) {
    if (event.type !== 'undone') return []
    if (cancelled.has(event.id)) continue
    if (!event.events.some((id) => undos.has(id))) return [event.id]
    event.events.forEach((id) => cancelled.add(id))
  }
  return []
}
