/**
 * From version 2 to version 3: a sheet may be cut into several shapes and may be filled, gear knows presses, and a maker has
 * shapes of their own. Nothing is lost: what is new starts empty. Batter blanks now say how they are dropped; those of older
 * batches were all scraped or pressed through holes, and are drawn alike.
 */
import { each, one, type Loose } from './loose.ts'

export const sheet2to3 = (sheet: Loose): Loose => ({ ...sheet, alsoShapes: [], filling: null })

export const formula2to3 = (formula: Loose): Loose => ({
  ...formula,
  sheet: one(formula['sheet'], sheet2to3),
  versions: each(formula['versions'], (version) => ({ ...version, sheet: one(version['sheet'], sheet2to3) })),
})

export const gear2to3 = (gear: Loose): Loose => ({ ...gear, presses: [] })
export const draft2to3 = (draft: Loose): Loose => ({ ...draft, sheet: one(draft['sheet'], sheet2to3) })

const blank2to3 = (blank: Loose): Loose => (blank['type'] === 'drop' ? { ...blank, by: 'hole' } : blank)

const plan2to3 = (plan: Loose): Loose => ({
  ...plan,
  sheet: one(plan['sheet'], sheet2to3),
  shape: one(plan['shape'], (shape) => ({ ...shape, blank: one(shape['blank'], blank2to3) })),
})

export const batch2to3 = (batch: Loose): Loose => ({ ...batch, plan: one(batch['plan'], plan2to3) })

export const file2to3 = (file: Loose): Loose => ({
  ...file,
  version: 3,
  formulas: each(file['formulas'], formula2to3),
  shapes: [],
  batches: each(file['batches'], batch2to3),
  gear: one(file['gear'], gear2to3),
  draft: one(file['draft'], draft2to3),
})
