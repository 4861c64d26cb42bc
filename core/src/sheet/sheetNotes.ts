import { COARSE_PERCENT, resolutionPercent } from '../formula/index.ts'
import { GELS_C } from '../heat/index.ts'
import { scalded } from './keeping.ts'
import { holdBackPoints } from '../lot/index.ts'
import { DAMPEST } from './knownRows.ts'
import { fromPoured, type Reckoned } from './reckoned.ts'
import { benchC, placeOf, type Kitchen } from './kitchen.ts'
import type { AskedRest } from './practice.ts'
import { sanityNotes, type SanityNote } from './sanity.ts'
import { standingNotes, type StandingNote } from './standing.ts'

/** What a maker would pencil beside the sheet. Codes and data; the station finds the words. */
export type SheetNote =
  | SanityNote
  | StandingNote
  | { readonly code: 'shape-unlisted'; readonly severity: 'note' }
  /** A rest that was asked for is cut short, or taken in or out of the fridge. */
  | { readonly code: 'rest-cut'; readonly severity: 'note'; readonly asked: AskedRest; readonly roomC: number }
  /** A dough without gluten is held by starch that hot water sets; this one ends cooler than that. */
  | {
      readonly code: 'scald-short'
      readonly severity: 'note' | 'caution'
      readonly doughC: number
      readonly setsC: number
    }
  /** Water hotter or cooler than its own way, and what that does to the water it takes. */
  | { readonly code: 'gel'; readonly severity: 'note'; readonly points: number; readonly doughC: number }
  /** Other rows bring all the water, and so many points more than was asked. */
  | { readonly code: 'no-water-left'; readonly severity: 'caution'; readonly points: number }
  | {
      readonly code: 'flour-moisture'
      readonly severity: 'note'
      /** Fraction of mass, all flours together. */
      readonly moisture: number
      /** Water that this moisture saves (negative) or costs, points. */
      readonly points: number
      /** Where it stands; null where the maker typed it. */
      readonly place: string | null
    }
  | {
      readonly code: 'flour-damp'
      readonly severity: 'caution'
      /** As reckoned in its store, fraction of mass. */
      readonly moisture: number
      readonly limit: number
    }
  | {
      readonly code: 'lot-thirst'
      readonly severity: 'note'
      readonly points: number
      readonly batches: number
      /** Where it was learned, where that is another air than today's. */
      readonly learnedAt: string | null
    }
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
      readonly severity: 'note' | 'caution'
      readonly ingredient: string
      readonly grams: number
      readonly percent: number
      /** A solution would do better than a pinch. */
      readonly alkali: boolean
    }
  | { readonly code: 'cut-over-board'; readonly severity: 'caution'; readonly cutMm: number; readonly boardMm: number }

function moistureNote(worked: Reckoned, kitchen: Kitchen): SheetNote[] {
  const { poured, expected14, control } = worked
  const flours = worked.rows.filter(({ part }) => part === 'flour')
  const damp = Math.max(...flours.map(({ reckoned, moistureBy }) => (moistureBy === 'table' ? 0 : reckoned)))
  const mould: SheetNote[] =
    damp > DAMPEST + 1e-9 ? [{ code: 'flour-damp', severity: 'caution', moisture: damp, limit: DAMPEST }] : []
  // Of a flour that nothing was said of, and whose grain follows no air that is known, nothing is told.
  const told = flours.some(({ moistureBy }) => moistureBy !== 'table')
  const points = poured.slope * expected14 + poured.offset - expected14
  if (control.by === 'base' || !told || Math.abs(points) < 0.1) return mould
  const placed = flours.some(({ moistureBy }) => moistureBy === 'place')
  return [
    ...mould,
    {
      code: 'flour-moisture',
      severity: 'note',
      moisture: worked.flourMoisture,
      points,
      place: placed ? (placeOf(worked.sheet, kitchen.gear)?.name ?? null) : null,
    },
  ]
}

/** Less is rounding. Points. */
const CLEARLY_WETTER = 0.05

function wetterNote({ sheet, poured, asked14 }: Reckoned): SheetNote[] {
  const amount = sheet.rows.find((row) => row.amount.by === 'hydration')?.amount
  if (amount?.by !== 'hydration') return []
  const points = asked14 - (amount.basis === 'basis14' ? amount.percent : fromPoured(poured, amount.percent))
  return points > CLEARLY_WETTER ? [{ code: 'no-water-left', severity: 'caution', points }] : []
}

/** The row the scale is coarsest for, a caution where it is salt or alkali; an alkali that it cannot weigh is told of whatever else there is. */
function scaleNotes({ rows }: Reckoned, stepG: number): SheetNote[] {
  const coarse = rows.filter((row) => row.grams > 0 && resolutionPercent(row.grams, stepG) > COARSE_PERCENT)
  const smallest = [...coarse].sort((a, b) => a.grams - b.grams)[0]
  return coarse
    .filter((row) => row.part === 'alkali' || row === smallest)
    .map((row) => ({
      code: 'scale-coarse',
      severity: row.part === 'alkali' || row.part === 'salt' ? ('caution' as const) : ('note' as const),
      ingredient: row.ingredient.name,
      grams: row.grams,
      percent: resolutionPercent(row.grams, stepG),
      alkali: row.part === 'alkali',
    }))
}

/** Less than this of a lot's thirst is no word worth, points. */
const CLEAR_THIRST = 0.05

/** Hot water for a dough without gluten that does not cook its starch. °C. */
const HOT_FROM_C = 60

function scaldNotes(worked: Reckoned, kitchen: Kitchen, expectsGluten: boolean): SheetNote[] {
  const { practice, water, control, shape } = worked
  if (expectsGluten || control.by === 'base' || water.totalG === 0 || (practice.waterC ?? 0) < HOT_FROM_C) return []
  const { doughC, starchGels } = scalded(worked, kitchen)
  // A press packs its crumbs together as well.
  const severity = shape.method === 'extrude' ? 'note' : 'caution'
  return starchGels ? [] : [{ code: 'scald-short', severity, doughC, setsC: GELS_C }]
}

function lotNotes({ lot, learnedAt, water, asked14, expected14 }: Reckoned): SheetNote[] {
  const points = expected14 - asked14
  const thirst: SheetNote[] =
    Math.abs(points) >= CLEAR_THIRST
      ? [{ code: 'lot-thirst', severity: 'note', points, batches: lot.n, learnedAt }]
      : []
  const hold: SheetNote[] =
    water.holdBackG > 0
      ? [
          {
            code: 'hold-back',
            severity: 'note',
            grams: water.holdBackG,
            startG: water.startG,
            batches: lot.n,
            points: holdBackPoints(lot, expected14),
          },
        ]
      : []
  return [...thirst, ...hold]
}

export function sheetNotes(worked: Reckoned, kitchen: Kitchen): readonly SheetNote[] {
  const { dough, match, shape } = worked
  const { boardMm, scaleStepG } = kitchen.gear
  const { blank } = shape
  const expectsGluten = dough.flours.some((id) => (kitchen.ingredients.get(id)?.gluten ?? 'none') !== 'none')
  const notes: SheetNote[] = [
    ...standingNotes(worked, kitchen),
    ...(match.listed ? [] : [{ code: 'shape-unlisted', severity: 'note' } as const]),
    ...(worked.practice.restAsked
      ? [{ code: 'rest-cut', severity: 'note', asked: worked.practice.restAsked, roomC: benchC(kitchen) } as const]
      : []),
    ...(blank.type === 'rope' && blank.cutMm > boardMm && !blank.drawn
      ? [{ code: 'cut-over-board', severity: 'caution', cutMm: blank.cutMm, boardMm } as const]
      : []),
    ...wetterNote(worked),
    ...scaldNotes(worked, kitchen, expectsGluten),
    ...(worked.gel ? [{ code: 'gel', severity: 'note', ...worked.gel } as const] : []),
    ...sanityNotes(worked, expectsGluten),
    ...scaleNotes(worked, scaleStepG),
    ...moistureNote(worked, kitchen),
    ...lotNotes(worked),
  ]
  const order = { danger: 0, caution: 1, note: 2 }
  return notes.sort((a, b) => order[a.severity] - order[b.severity])
}
