/** How this sheet is worked once the schools are settled: heat of the water, rest, salt in the pot, the share held back. */
import { asShape } from '../match/index.ts'
import type { Sheet, Dough, Shape } from '../model/index.ts'
import { setsFor, type SchoolSets } from './school.ts'
import { waterCFor } from './waterHeat.ts'
import { isCurdBased, isPerishable, PERISHABLE_REST_MIN } from './perishable.ts'
import type { Kitchen } from './kitchen.ts'
import type { WorkedRow } from './workedRow.ts'

export interface Practice {
  readonly sets: SchoolSets
  /** Null where a dough takes no water. */
  readonly waterC: number | null
  readonly restMin: number
  readonly restCold: boolean
  readonly potSaltGPerL: number
}

type Rest = Pick<Practice, 'restMin' | 'restCold'>

function restOf({ restMin, restColdH }: Dough, rest: SchoolSets['rest']): Rest {
  switch (rest) {
    case 'low':
      return { restMin: Math.max(5, restMin.low), restCold: false }
    case 'long':
      return { restMin: Math.min(restMin.high, Math.max(120, restMin.best)), restCold: false }
    case 'cold':
      // Some doughs do not keep: a night in the fridge would be the end of them.
      return restColdH.high < 8
        ? { restMin: restMin.best, restCold: false }
        : { restMin: Math.max(8, restColdH.best) * 60, restCold: true }
    default:
      return { restMin: restMin.best, restCold: false }
  }
}

/** A recipe's own rest; a night is in the cold. */
const restAsRead = ({ asRead }: Sheet): Partial<Rest> =>
  asRead?.restMin === undefined ? {} : { restMin: asRead.restMin, restCold: asRead.restMin >= NIGHT_MIN }
const NIGHT_MIN = 360

/** A curd dough chills while it rests, half an hour at least. */
const CURD_REST_MIN = 30

/** What is in the dough may want less of the room than the school does: egg and milk an hour at the most, curd none. */
function safeRest(rest: Rest, rows: readonly WorkedRow[]): Rest {
  if (rest.restMin < 1 || rest.restCold) return rest
  if (isCurdBased(rows)) return { restMin: Math.max(CURD_REST_MIN, rest.restMin), restCold: true }
  const perishable = rows.some((row) => row.grams > 0 && isPerishable(row))
  return perishable ? { ...rest, restMin: Math.min(PERISHABLE_REST_MIN, rest.restMin) } : rest
}

export function practiceOf(
  sheet: Sheet,
  dough: Dough,
  shape: Shape,
  rows: readonly WorkedRow[],
  { schools, gear }: Kitchen,
): Practice {
  const sets = setsFor(schools, dough.family, gear.schools, sheet.schools)
  return {
    sets,
    // What a shape needs no school takes from it.
    waterC: sheet.waterC ?? asShape(shape, dough)?.waterC ?? waterCFor(dough, sets),
    ...safeRest({ ...restOf(dough, sets.rest), ...restAsRead(sheet) }, rows),
    potSaltGPerL: asShape(shape, dough)?.potSaltGPerL ?? sets.potSaltGPerL ?? dough.pot.saltGPerL,
  }
}
