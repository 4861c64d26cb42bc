/** Eggs out and replacer in by the pack's ratio, with its water and fat; and back. */
import type { EggSize, Sheet, SheetRow } from '../model/index.ts'
import { EGGS, isEgg } from '../quantity/index.ts'
import type { Worked } from './computeSheet.ts'
import { moveWater } from './editRows.ts'
import type { WorkedRow } from './workedRow.ts'

/** What a pack says stands for one whole egg, g. */
export interface EggPack {
  readonly powderG: number
  readonly waterG: number
  readonly oilG: number
}

/** Usual of starch packs; the fat is the egg's own. The pack in hand is what counts. */
export const USUAL_PACK: EggPack = { powderG: 6, waterG: 42, oilG: 5 }

const POWDER = 'egg-replacer-powder'
const OIL = 'olive-oil'
const WATER = 'water-room'

export interface EggSwap {
  readonly sheet: Sheet
  /** So many eggs, or as much replacer as stands for them. */
  readonly eggs: number
  readonly powderG: number
  readonly waterG: number
  readonly oilG: number
}

const sum = (rows: readonly WorkedRow[], of: (row: WorkedRow) => number): number =>
  rows.reduce((total, row) => total + of(row), 0)

const plus = (sheet: Sheet, ingredient: string, percent: number): Sheet => {
  const row = sheet.rows.find((each) => each.ingredient === ingredient && each.amount.by === 'percent')
  const rows = row
    ? sheet.rows.flatMap((each): SheetRow[] => {
        if (each !== row || each.amount.by !== 'percent') return [each]
        const sumPercent = Number((each.amount.percent + percent).toFixed(3))
        const { typedG: _, ...rest } = each
        return sumPercent > 1e-6 ? [{ ...rest, amount: { by: 'percent', percent: sumPercent } }] : []
      })
    : percent > 0
      ? [
          ...sheet.rows,
          { key: ingredient, ingredient, amount: { by: 'percent' as const, percent: Number(percent.toFixed(3)) } },
        ]
      : sheet.rows
  return { ...sheet, rows }
}

/** Water by so many points: on a base, which has none of its own, as a row. */
const wetted = (sheet: Sheet, { control }: Worked, points: number): Sheet =>
  control.by === 'base' ? plus(sheet, WATER, points) : moveWater(sheet, points)

const swapOf = (worked: Worked, sheet: Sheet, eggsPer100: number, pack: EggPack): EggSwap => {
  const anchor = worked.rows.find(({ part }) => part === (worked.control.by === 'base' ? 'base' : 'flour'))
  const gPerPoint = anchor && anchor.percent > 0 ? anchor.grams / anchor.percent : 0
  const eggs = eggsPer100 * gPerPoint
  return { sheet, eggs, powderG: eggs * pack.powderG, waterG: eggs * pack.waterG, oilG: eggs * pack.oilG }
}

/**
 * The sheet without its eggs: for each whole egg, or as much of yolk and white, what the pack says. Null without eggs.
 * @example three eggs of 50.4 g on 300 g of flour → 18 g of powder, 126 g of water, 15 g of oil
 */
export function withoutEggs(worked: Worked, size: EggSize, pack: EggPack): EggSwap | null {
  const eggs = worked.rows.filter((row) => isEgg(row.ingredient.id) && row.percent > 0)
  if (eggs.length === 0) return null
  const eggsPer100 = sum(eggs, (row) => row.percent) / EGGS[size].wholeG
  const isEggRow = ({ key }: SheetRow) => eggs.some((egg) => egg.key === key)
  const bare = {
    ...worked.sheet,
    // Where egg is all that wets the flour, water does in its place.
    rows: worked.sheet.rows.flatMap((row): SheetRow[] => {
      if (!isEggRow(row)) return [row]
      const { typedG: _typed, unsure: _read, ...rest } = row
      return row.amount.by === 'hydration' ? [{ ...rest, ingredient: WATER }] : []
    }),
  }
  const filled = plus(plus(bare, POWDER, eggsPer100 * pack.powderG), OIL, eggsPer100 * pack.oilG)
  const points = eggsPer100 * pack.waterG - sum(eggs, (row) => row.percent * row.water)
  return swapOf(
    worked,
    wetted(filled, worked, worked.control.by === 'base' ? eggsPer100 * pack.waterG : points),
    eggsPer100,
    pack,
  )
}

/** And back: whole eggs in place of the replacer, its water and its fat. Null without replacer. */
export function withEggs(worked: Worked, size: EggSize, pack: EggPack): EggSwap | null {
  const powder = worked.rows.filter((row) => row.ingredient.id === POWDER && row.percent > 0)
  if (powder.length === 0) return null
  const eggsPer100 = sum(powder, (row) => row.percent) / pack.powderG
  const oil = sum(
    worked.rows.filter((row) => row.ingredient.id === OIL),
    (row) => row.percent,
  )
  const bare = { ...worked.sheet, rows: worked.sheet.rows.filter((row) => !powder.some(({ key }) => key === row.key)) }
  const egg = eggsPer100 * EGGS[size].wholeG
  const filled = plus(plus(bare, 'egg-whole', egg), OIL, -Math.min(oil, eggsPer100 * pack.oilG))
  const eggWater = egg * (1 - EGG_SOLIDS)
  const points = worked.control.by === 'base' ? -eggsPer100 * pack.waterG : eggWater - eggsPer100 * pack.waterG
  return swapOf(worked, wetted(filled, worked, points), eggsPer100, pack)
}

/** Of a whole egg without its shell. */
const EGG_SOLIDS = 0.24
