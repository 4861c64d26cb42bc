import { COARSE_PERCENT } from '../formula/index.ts'
import type { Worked } from './computeSheet.ts'
import { placeOf, type Kitchen } from './kitchen.ts'

/** What a maker would pencil beside the sheet. Codes and data; the station finds the words. */
export type SheetNote =
  | { readonly code: 'hydration-outside'; readonly severity: 'danger'; readonly low: number; readonly high: number }
  | { readonly code: 'shape-outside'; readonly severity: 'note' | 'caution'; readonly outsideBy: number }
  | { readonly code: 'shape-unlisted'; readonly severity: 'note' }
  | {
      readonly code: 'flour-moisture'
      readonly severity: 'note'
      /** Fraction of mass, all flours together. */
      readonly moisture: number
      /** Water that this moisture saves (negative) or costs, points. */
      readonly points: number
      readonly place: string | null
    }
  | { readonly code: 'lot-thirst'; readonly severity: 'note'; readonly points: number; readonly batches: number }
  | {
      readonly code: 'hold-back'
      readonly severity: 'note'
      readonly grams: number
      readonly startG: number
      readonly batches: number
      readonly points: number
    }
  | {
      readonly code: 'scale-coarse'
      readonly severity: 'caution'
      readonly ingredient: string
      readonly grams: number
      readonly percent: number
    }
  | { readonly code: 'salt-outside'; readonly severity: 'caution'; readonly percent: number; readonly high: number }
  | { readonly code: 'cut-over-board'; readonly severity: 'caution'; readonly cutMm: number; readonly boardMm: number }

/** Wider than any window of the table by this much, nothing holds together. */
const BEYOND_POINTS = 6

function hydrationNote({ dough, paper14, match }: Omit<Worked, 'notes'>): SheetNote[] {
  const windows = Object.values(dough.windows)
  const low = Math.min(...windows.map((window) => window.low))
  const high = Math.max(...windows.map((window) => window.high))
  if (paper14 < low - BEYOND_POINTS || paper14 > high + BEYOND_POINTS)
    return [{ code: 'hydration-outside', severity: 'danger', low, high }]
  if (match.grade === 'in') return []
  return [{ code: 'shape-outside', severity: match.grade === 'near' ? 'note' : 'caution', outsideBy: match.outsideBy }]
}

function moistureNote(worked: Omit<Worked, 'notes'>, kitchen: Kitchen): SheetNote[] {
  const { poured, expected14 } = worked
  const points = poured.slope * expected14 + poured.offset - expected14
  if (Math.abs(points) < 0.1) return []
  return [
    {
      code: 'flour-moisture',
      severity: 'note',
      moisture: worked.flourMoisture,
      points,
      place: placeOf(worked.sheet, kitchen.gear)?.name ?? null,
    },
  ]
}

function scaleNote({ batch, rows }: Omit<Worked, 'notes'>): SheetNote[] {
  const { coarsest } = batch.rounding
  if (!coarsest || coarsest.resolutionPercent <= COARSE_PERCENT) return []
  const row = rows.find((candidate) => candidate.ingredient.id === coarsest.id)
  if (!row) return []
  return [
    {
      code: 'scale-coarse',
      severity: 'caution',
      ingredient: row.ingredient.name,
      grams: row.grams,
      percent: coarsest.resolutionPercent,
    },
  ]
}

function lotNotes({ lot, water }: Omit<Worked, 'notes'>): SheetNote[] {
  const thirst: SheetNote[] =
    lot.n > 0 ? [{ code: 'lot-thirst', severity: 'note', points: lot.shift, batches: lot.n }] : []
  const hold: SheetNote[] =
    water.holdBackG > 0
      ? [
          {
            code: 'hold-back',
            severity: 'note',
            grams: water.holdBackG,
            startG: water.startG,
            batches: lot.n,
            points: 2 * lot.predictiveSd,
          },
        ]
      : []
  return [...thirst, ...hold]
}

export function sheetNotes(worked: Omit<Worked, 'notes'>, kitchen: Kitchen): readonly SheetNote[] {
  const { batch, dough, match, shape } = worked
  const { boardMm } = kitchen.gear
  const { high } = dough.saltPercent
  const notes: SheetNote[] = [
    ...hydrationNote(worked),
    ...(match.listed ? [] : [{ code: 'shape-unlisted', severity: 'note' } as const]),
    ...(batch.saltPercent > high + 1e-9
      ? [{ code: 'salt-outside', severity: 'caution', percent: batch.saltPercent, high } as const]
      : []),
    ...(shape.blank.cutMm > boardMm
      ? [{ code: 'cut-over-board', severity: 'caution', cutMm: shape.blank.cutMm, boardMm } as const]
      : []),
    ...scaleNote(worked),
    ...moistureNote(worked, kitchen),
    ...lotNotes(worked),
  ]
  const order = { danger: 0, caution: 1, note: 2 }
  return notes.sort((a, b) => order[a.severity] - order[b.severity])
}
