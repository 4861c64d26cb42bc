/** What a dough goes through: as the sheet says, or what Gear has first. */
import { usualFolds } from '../geometry/index.ts'
import type { Dough, Gear, KeptPress, KeptRoller, Sheet } from '../model/index.ts'

/** Null by pin. */
export const rollerFor = ({ machines }: Sheet, { rollers }: Gear): KeptRoller | null =>
  machines.byPin ? null : (rollers.find(({ id }) => id === machines.roller) ?? rollers[0] ?? null)

export const pressFor = ({ machines }: Sheet, { presses }: Gear): KeptPress | null =>
  presses.find(({ id }) => id === machines.press) ?? presses[0] ?? null

/** Of the kitchen's pots; null without one. */
export const largestPotL = ({ pots }: Pick<Gear, 'pots'>): number | null =>
  pots.length > 0 ? Math.max(...pots.map(({ holdsL }) => holdsL)) : null

/** What decides how a dough is rolled out. */
export interface Rolled {
  readonly sheet: Sheet
  readonly dough: Dough
  /** As it is made, percent on the 14 % basis. */
  readonly hydration14: number
}

/** Folds and passes before thinning; a dough that is folded on its way already needs none. */
export const foldsFor = ({ sheet, dough, hydration14 }: Rolled, gear: Gear): number => {
  if (!rollerFor(sheet, gear)) return 0
  const foldedBefore = dough.course.some((step) => step.do === 'fold')
  return sheet.machines.folds ?? (foldedBefore ? 0 : usualFolds(hydration14))
}
