/** Checks that hold for any dough: what a careful colleague would say on reading the sheet. */
import { MOST_ALKALI_PERCENT } from '../alkali/index.ts'
import { asShape } from '../match/index.ts'
import { ownFlours } from '../model/index.ts'
import { spoilageOf } from '../safety/index.ts'
import { SETS_STARCH_C } from './perishable.ts'
import type { Reckoned } from './reckoned.ts'
import type { WorkedRow } from './workedRow.ts'

/** More salt on flour than any dough here is made with. Percent. */
export const SALT_LIMIT_PERCENT = 8
/** Where free water falls this share short of all water, the feel follows the free water. */
const FREE_WATER_GAP = 0.2
/** Under this share of flour with gluten nothing holds a sheet together. Percent. */
const GLUTEN_SHARE_PERCENT = 10

export type SanityNote =
  | { readonly code: 'alkali-over'; readonly severity: 'danger'; readonly percent: number; readonly limit: number }
  | {
      readonly code: 'alkali-outside'
      readonly severity: 'caution'
      readonly percent: number
      readonly low: number
      readonly high: number
    }
  | { readonly code: 'alkali-handling'; readonly severity: 'caution' }
  | { readonly code: 'raw-soda'; readonly severity: 'note' | 'caution'; readonly percent: number }
  | { readonly code: 'salt-over'; readonly severity: 'danger'; readonly percent: number; readonly limit: number }
  | {
      readonly code: 'salt-outside'
      readonly severity: 'caution'
      readonly percent: number
      readonly low: number
      readonly high: number
      readonly on: string
    }
  | {
      readonly code: 'fat-outside'
      readonly severity: 'caution'
      readonly percent: number
      readonly high: number
    }
  | { readonly code: 'no-gluten'; readonly severity: 'danger'; readonly percent: number }
  | {
      readonly code: 'share-over'
      readonly severity: 'caution'
      readonly ingredient: string
      readonly percent: number
      readonly max: number
      readonly isFlour: boolean
    }
  | {
      readonly code: 'moisture-outside'
      readonly severity: 'note' | 'caution'
      readonly percent: number
      readonly low: number
      readonly high: number
    }
  | { readonly code: 'free-water'; readonly severity: 'note'; readonly available: number; readonly effective: number }
  | { readonly code: 'never-dry'; readonly severity: 'caution'; readonly ingredients: readonly string[] }
  | { readonly code: 'thirsty-flour'; readonly severity: 'note'; readonly points: number }

type Sheet = Reckoned

const outside = (value: number, low: number, high: number): boolean => value < low - 1e-6 || value > high + 1e-6

/** More unbaked soda than this tastes of soap and salt. Percent of flour. */
const MUCH_SODA_PERCENT = 1

/** Soda that nobody has baked: no carbonate, and judged as what it is. */
const isRawSoda = ({ ingredient, grams }: WorkedRow): boolean =>
  grams > 0 && ingredient.group === 'alkali' && (ingredient.carbonate ?? 0) === 0

function alkaliNotes({ batch, dough, rows }: Sheet): SanityNote[] {
  const percent = batch.carbonatePercent
  const handled = rows.some((row) => row.part === 'alkali' && row.grams > 0)
  const range = dough.alkaliPercent ?? { low: 0, high: 0 }
  const handling: SanityNote[] = handled ? [{ code: 'alkali-handling', severity: 'caution' }] : []
  if (percent > MOST_ALKALI_PERCENT + 1e-9)
    return [{ code: 'alkali-over', severity: 'danger', percent, limit: MOST_ALKALI_PERCENT }, ...handling]
  const soda = rows.filter(isRawSoda).reduce((sum, row) => sum + row.onFlour, 0)
  const raw: SanityNote[] =
    soda > 0 ? [{ code: 'raw-soda', severity: soda > MUCH_SODA_PERCENT ? 'caution' : 'note', percent: soda }] : []
  if (raw.length > 0 && percent === 0) return raw
  if (outside(percent, range.low, range.high))
    return [
      { code: 'alkali-outside', severity: 'caution', percent, low: range.low, high: range.high },
      ...raw,
      ...handling,
    ]
  return [...raw, ...handling]
}

/**
 * Salt as the dough's table counts it, percent on flour or on the base: as it is weighed, damp or not, and what cheese or
 * butter bring of it. @example 2.1 % of a sea salt that holds 7 % water → 2.1, as the ledger has it
 */
export function saltAsCounted({ rows, dough, control }: Pick<Reckoned, 'rows' | 'dough' | 'control'>): number {
  const onFlour = rows.reduce(
    (sum, row) => sum + row.onFlour * (row.part === 'salt' ? 1 : row.grams > 0 ? row.ingredient.salt : 0),
    0,
  )
  return dough.saltOn === 'base' && control.by === 'base' ? (onFlour * control.flourOnBase) / 100 : onFlour
}

/** What the dough takes; a shape that cooks in its soup takes less. */
export function saltWindow({ dough, shape }: Pick<Reckoned, 'dough' | 'shape'>): { low: number; high: number } {
  const { low, high } = dough.saltPercent
  const own = asShape(shape, dough)?.saltPercent
  return own === undefined ? { low, high } : { low: Math.min(low, own / 2), high: Math.min(high, 2 * own + 0.5) }
}

function saltNotes(sheet: Sheet): SanityNote[] {
  const { batch, dough, control } = sheet
  if (batch.saltPercent > SALT_LIMIT_PERCENT + 1e-9 && dough.saltOn === 'flour')
    return [{ code: 'salt-over', severity: 'danger', percent: batch.saltPercent, limit: SALT_LIMIT_PERCENT }]
  const percent = saltAsCounted(sheet)
  const { low, high } = saltWindow(sheet)
  const on = dough.saltOn === 'base' && control.by === 'base' ? control.base : 'flour'
  return outside(percent, low, high) ? [{ code: 'salt-outside', severity: 'caution', percent, low, high, on }] : []
}

function fatNotes({ dough, rows }: Sheet): SanityNote[] {
  const added = rows.filter((row) => row.ingredient.group === 'fat')
  const percent = added.reduce((sum, row) => sum + row.percent, 0)
  const high = Math.max(dough.oilPercent.high, dough.fatPercent?.high ?? 0)
  return percent > high + 1e-6 ? [{ code: 'fat-outside', severity: 'caution', percent, high }] : []
}

/** The most of a binder on 100 of base; null for a dough without such. */
const bindersMost = ({ binderPercent }: Sheet['dough'], group: string): number | null =>
  (group === 'starch' ? binderPercent?.potatoStarch?.high : group === 'egg' ? binderPercent?.eggYolk?.high : null) ??
  null

function flourNotes(
  { dough, rows, shape, flourShift, eggShift, gel, practice }: Sheet,
  expectsGluten: boolean,
): SanityNote[] {
  const flours = rows.filter((row) => row.part === 'flour')
  const gluten = flours.reduce((sum, row) => sum + (row.ingredient.gluten === 'none' ? 0 : row.onFlour), 0)
  const isScalded = (practice.waterC ?? 0) >= SETS_STARCH_C
  const needsGluten = shape.method !== 'hand' && shape.method !== 'drop' && !isScalded
  // A dough without gluten has a method of its own; what it is counted on is the dough.
  const judged = rows.filter(({ part }) => (part === 'flour' ? expectsGluten : part !== 'base'))
  const own = new Map(ownFlours(dough, asShape(shape, dough)).map(({ flour, percent }) => [flour, percent]))
  const over = judged.flatMap(({ ingredient, onFlour, part, percent }): SanityNote[] => {
    const { name, usualMaxSharePercent = Infinity } = ingredient
    // What the dough is written with is usual for it.
    if (part === 'other' && percent <= (bindersMost(dough, ingredient.group) ?? -1)) return []
    const max = Math.max(usualMaxSharePercent, (part === 'flour' && own.get(ingredient.id)) || 0)
    return onFlour > max + 1e-6
      ? [
          {
            code: 'share-over',
            severity: 'caution',
            ingredient: name,
            percent: onFlour,
            max,
            isFlour: part === 'flour',
          },
        ]
      : []
  })
  const onWater = dough.control.by === 'hydration'
  const thirst = flourShift - eggShift - (gel?.points ?? 0)
  return [
    ...(expectsGluten && needsGluten && onWater && gluten < GLUTEN_SHARE_PERCENT
      ? [{ code: 'no-gluten', severity: 'danger', percent: gluten } as const]
      : []),
    ...over,
    ...(onWater && Math.abs(thirst) >= 1 ? [{ code: 'thirsty-flour', severity: 'note', points: thirst } as const] : []),
  ]
}

function moistureNotes({ dough, batch, balance, control }: Sheet): SanityNote[] {
  const { doughMoisture } = dough
  const percent = 100 * batch.doughMoisture
  const window: SanityNote[] =
    doughMoisture && outside(percent, doughMoisture.low, doughMoisture.high)
      ? [
          {
            code: 'moisture-outside',
            severity: outside(percent, doughMoisture.low - 2, doughMoisture.high + 2) ? 'caution' : 'note',
            percent,
            low: doughMoisture.low,
            high: doughMoisture.high,
          },
        ]
      : []
  const { effective } = batch.hydration
  const gap = effective > 0 ? (effective - balance.availablePercent) / effective : 0
  return control.by === 'hydration' && gap > FREE_WATER_GAP
    ? [...window, { code: 'free-water', severity: 'note', available: balance.availablePercent, effective }]
    : window
}

/** Milk, egg, curd, drinks and purées in the rows, whatever the shape: such a dough is never dried in room air. */
function keepingNotes({ rows }: Sheet): SanityNote[] {
  const moist = rows
    .filter(({ grams, ingredient }) => grams > 0 && spoilageOf(ingredient) !== 'plain')
    .map((row) => row.ingredient.name)
  return moist.length > 0 ? [{ code: 'never-dry', severity: 'caution', ingredients: moist }] : []
}

/** `expectsGluten`: the dough's own flour has some, so that one without is a slip. */
export const sanityNotes = (sheet: Sheet, expectsGluten: boolean): readonly SanityNote[] => [
  ...alkaliNotes(sheet),
  ...saltNotes(sheet),
  ...fatNotes(sheet),
  ...flourNotes(sheet, expectsGluten),
  ...moistureNotes(sheet),
  ...keepingNotes(sheet),
]
