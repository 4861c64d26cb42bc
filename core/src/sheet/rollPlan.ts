/** The sheet's dough through a roller or under a pin, cut or stamped as its shape is. */
import type { Gear, Shape } from '../model/index.ts'
import type { Rolling } from '../shape/index.ts'
import { foldsFor, rollerFor } from './machines.ts'
import type { Rolled } from './machines.ts'

/** How this sheet is rolled out for one of its shapes; null for a shape that is not made of a sheet. */
export function rollingFor(worked: Rolled, { sheeted }: Pick<Shape, 'sheeted'>, gear: Gear): Rolling | null {
  if (!sheeted) return null
  const roller = rollerFor(worked.sheet, gear)
  return {
    roller,
    belt: roller !== null && worked.sheet.machines.belt,
    folds: foldsFor(worked, gear),
    hydrationPercent: worked.hydration14,
  }
}
