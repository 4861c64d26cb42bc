/** How wet the dough is against what it is made for: merely soft or stiff, unusual but proven, or past holding together. */
import { doughsHolding, wholeWindow } from '../match/index.ts'
import type { Kitchen } from './kitchen.ts'
import { shapesRanked } from './pressRoute.ts'
import { tableReading, type Reckoned } from './reckoned.ts'

export type StandingNote =
  | {
      readonly code: 'hydration-outside'
      /** A danger where no dough of the tables holds together so. */
      readonly severity: 'caution' | 'danger'
      readonly low: number
      readonly high: number
      /** How far outside all of the dough's windows, and which way. */
      readonly by: number
      readonly side: 'stiff' | 'soft'
      /** Doughs that stand so, by name: what it would be instead. */
      readonly suits: readonly string[]
    }
  | {
      readonly code: 'shape-outside'
      readonly severity: 'note' | 'caution'
      /** On the dough's own scale; how far, whichever way. */
      readonly by: number
      readonly side: 'stiff' | 'soft'
      /** Shapes of this dough that want it so, by name. */
      readonly suits: readonly string[]
    }
  | { readonly code: 'proven'; readonly severity: 'note'; readonly by: number; readonly side: 'stiff' | 'soft' }

/** Wider than any window of the table by this much it is another dough, or none. */
const BEYOND_POINTS = 6
/** Flour on a base is counted in larger steps. */
const BEYOND_ON_BASE = 15
const MOST_NAMED = 2

/** As near as this to what came out well it is the same dough; flour on a base is counted in larger steps. */
const SAME_POINTS = 1.5
const SAME_ON_BASE = 5

/** Made so before by this maker's hands, in the same way, called right and good: the table does not know better. */
function isProven({ dough, shape, match, control }: Reckoned, { proven, shapes }: Kitchen): boolean {
  const near = control.by === 'base' ? SAME_ON_BASE : SAME_POINTS
  return proven.some(
    (batch) =>
      batch.dough === dough.id &&
      shapes.get(batch.shape)?.method === shape.method &&
      Math.abs(batch.fromBest - match.fromBest) <= near,
  )
}

export function standingNotes(worked: Reckoned, kitchen: Kitchen): readonly StandingNote[] {
  const { dough, match, control, rows } = worked
  if (match.side === null) return []
  const reading = tableReading(worked)
  const by = Math.abs(match.outsideBy)
  if (isProven(worked, kitchen)) return [{ code: 'proven', severity: 'note', by, side: match.side }]
  const { low, high } = wholeWindow(dough)
  const beyond = control.by === 'base' ? BEYOND_ON_BASE : BEYOND_POINTS
  if (reading < low - beyond || reading > high + beyond) {
    const flours = new Set(rows.filter(({ part }) => part === 'flour').map(({ ingredient }) => ingredient.id))
    const suits = doughsHolding(dough, flours, reading, kitchen.doughs.values()).map(({ name }) => name)
    return [
      {
        code: 'hydration-outside',
        severity: suits.length > 0 ? 'caution' : 'danger',
        low,
        high,
        by: reading < low ? low - reading : reading - high,
        // More flour on a base is stiffer, more water on flour is softer.
        side: reading < low === (control.by === 'base') ? 'soft' : 'stiff',
        suits: suits.slice(0, MOST_NAMED),
      },
    ]
  }
  const suits = shapesRanked(worked, kitchen)
    .filter(({ listed, grade }) => listed && grade === 'in')
    .slice(0, MOST_NAMED)
    .map(({ shape }) => shape.name)
  return [{ code: 'shape-outside', severity: match.grade === 'near' ? 'note' : 'caution', by, side: match.side, suits }]
}
