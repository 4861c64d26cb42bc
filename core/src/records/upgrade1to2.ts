/**
 * From version 1 to version 2. Version 1 knew ropes and doughs counted on flour alone; 2 has every blank, doughs on a base,
 * versions and tags of a formula, prices and stock of a lot, and a maker's units, schools and vessels. Nothing is lost: what
 * is new starts as its default. What comes in is of version 1 only by its own word, so the result is checked after this.
 */
import { defaultGear } from './documents.ts'
import { each, one, type Loose } from './loose.ts'

export const sheet1to2 = (sheet: Loose): Loose => ({ ...sheet, waterC: null, schools: {}, vessel: null })

export const formula1to2 = (formula: Loose): Loose => ({
  ...formula,
  sheet: one(formula['sheet'], sheet1to2),
  tags: [],
  archived: false,
  versions: [],
})

export const gear1to2 = (gear: Loose): Loose => ({ ...defaultGear, ...gear })
export const draft1to2 = (draft: Loose): Loose => ({ ...draft, sheet: one(draft['sheet'], sheet1to2) })

function shape1to2({ diameterMm, cutMm, window14, ropes: _derived, ...shape }: Loose): Loose {
  return { ...shape, blank: { type: 'rope', diameterMm, cutMm }, window: window14 }
}

export const plan1to2 = (plan: Loose): Loose => ({
  ...plan,
  sheet: one(plan['sheet'], sheet1to2),
  control: { by: 'hydration' },
  waterC: null,
  shape: one(plan['shape'], shape1to2),
})

export const batch1to2 = (batch: Loose): Loose => ({ ...batch, plan: one(batch['plan'], plan1to2) })

export const file1to2 = (file: Loose): Loose => ({
  ...file,
  version: 2,
  formulas: each(file['formulas'], formula1to2),
  ingredients: [],
  batches: each(file['batches'], batch1to2),
  gear: one(file['gear'], gear1to2),
  draft: one(file['draft'], draft1to2),
})
