/** How this sheet is worked once the schools are settled: heat of the water, rest, salt in the pot, the share held back. */
import { boilingPointC, heatCapacityJ, KNEADING_WARMS_C, warmsBy, waterByMachineC } from '../heat/index.ts'
import { asShape } from '../match/index.ts'
import type { Sheet, Dough, Shape, Worker } from '../model/index.ts'
import { setsFor } from './school.ts'
import type { SchoolSets } from './schoolSets.ts'
import { waterCFor } from './waterHeat.ts'
import { limitsOf, spoilageOf, warmShare } from '../safety/index.ts'
import { isCurdBased } from './perishable.ts'
import { benchC, type Kitchen } from './kitchen.ts'
import { workerFor } from './machines.ts'
import type { WorkedRow } from './workedRow.ts'

export interface Practice {
  readonly sets: SchoolSets
  /** Null where a dough takes no water. */
  readonly waterC: number | null
  /** The same by whoever else works it: a machine warms the dough, so its water is cooler. */
  readonly waterBy: Readonly<Record<Worker, number>> | null
  /** Who mixes and kneads. */
  readonly kneads: Worker
  readonly restMin: number
  readonly restCold: boolean
  /** The rest that a school or a recipe asks for, where this dough does not bear it; null where it is given. */
  readonly restAsked: AskedRest | null
  readonly potSaltGPerL: number
}

export interface AskedRest {
  readonly restMin: number
  readonly restCold: boolean
  /** What forbids it: the kind of dough, what is in it, or the heat of the room. */
  readonly forbids: 'dough' | 'contents' | 'heat'
}

type Rest = Pick<Practice, 'restMin' | 'restCold'>

function restOf({ restMin, restColdH }: Dough, rest: SchoolSets['rest']): Rest {
  switch (rest) {
    case 'low':
      return { restMin: Math.max(5, restMin.low), restCold: false }
    case 'long':
      return { restMin: Math.min(restMin.high, Math.max(120, restMin.best)), restCold: false }
    case 'chill':
      return { restMin: CHILL_MIN, restCold: true }
    case 'cold':
      return { restMin: Math.max(NIGHT_MIN, restColdH.best * 60), restCold: true }
    default:
      return { restMin: restMin.best, restCold: false }
  }
}

/** Half an hour in the fridge: a dough is firmer then, and does not stick. */
const CHILL_MIN = 30

/** A recipe's own rest; a night is in the cold. */
const restAsRead = ({ asRead }: Sheet): Partial<Rest> =>
  asRead?.restMin === undefined ? {} : { restMin: asRead.restMin, restCold: asRead.restMin >= OVERNIGHT_MIN }
const OVERNIGHT_MIN = 360

/** A curd dough chills while it rests, half an hour at least. */
const CURD_REST_MIN = 30

/** An hour in the fridge is the least that cools a lump through, and worth going there for. */
const LEAST_COLD_MIN = 60
/** A night in the fridge is eight hours at least. */
const NIGHT_MIN = 480

/**
 * What is in the dough, and a hot room, may allow less than the school asks: curd rests cold; what would lie warm too long rests in
 * the fridge where the dough bears it, and shorter where it does not; a night that this dough does not bear is no rest at all.
 */
function safeRest(rest: Rest, dough: Dough, rows: readonly WorkedRow[], roomC: number): Rest {
  if (rest.restMin < 1) return rest
  const { coldH, warmMin } = contentsLimits(rows)
  const coldMin = 60 * Math.min(coldH, dough.restColdH.high)
  if (isCurdBased(rows)) return { restMin: Math.min(60 * coldH, Math.max(CURD_REST_MIN, rest.restMin)), restCold: true }
  const bearsIt = coldMin >= Math.min(NIGHT_MIN, rest.restMin)
  if (rest.restCold && bearsIt) return { ...rest, restMin: Math.min(coldMin, rest.restMin) }
  const warm = rest.restCold ? dough.restMin.best : rest.restMin
  const atMost = warmMin * warmShare(roomC)
  if (warm <= atMost) return { restMin: warm, restCold: false }
  return warmShare(roomC) < 1 && coldMin >= LEAST_COLD_MIN
    ? { restMin: Math.min(coldMin, Math.max(LEAST_COLD_MIN, warm)), restCold: true }
    : { restMin: atMost, restCold: false }
}

/** What was asked of a rest and is not given. */
function notGiven(asked: Rest, given: Rest, dough: Dough, rows: readonly WorkedRow[], roomC: number): AskedRest | null {
  // Less is not worth a word, and curd is always chilled.
  const isShorter = given.restMin < asked.restMin - 1
  if (isCurdBased(rows) ? !asked.restCold || !isShorter : given.restCold === asked.restCold && !isShorter) return null
  const { coldH } = contentsLimits(rows)
  if (asked.restCold) return { ...asked, forbids: coldH < dough.restColdH.high ? 'contents' : 'dough' }
  return { ...asked, forbids: warmShare(roomC) < 1 ? 'heat' : 'contents' }
}

/** What the rows alone do not say. */
const contentsLimits = (rows: readonly WorkedRow[]) =>
  limitsOf({
    ...NOTHING_MORE,
    rows: rows.filter(({ grams }) => grams > 0).map(({ ingredient }) => spoilageOf(ingredient)),
  })
const NOTHING_MORE = { carbonatePercent: 0, filled: false, scalded: false, potatoBase: false }

/** By the sea water boils at 99.97 °C, and nobody writes that. */
const SAME_C = 0.05
/** Water is no hotter than it boils at this height. */
function atMostTheBoil(waterC: number | null, altitudeM: number): number | null {
  const boilC = boilingPointC(altitudeM)
  return waterC === null || waterC <= boilC + SAME_C ? waterC : Math.floor(boilC)
}

/** Water this hot is meant to cook, and no machine's warmth is taken out of it, °C. */
const MEANT_HOT_C = 60

/** The water by each way of kneading; a heat that was typed is everybody's. */
function waterByWorker(
  sheet: Sheet,
  waterC: number | null,
  rows: readonly WorkedRow[],
  gear: Kitchen['gear'],
): Practice['waterBy'] {
  if (waterC === null) return null
  if (sheet.waterC !== null || waterC >= MEANT_HOT_C) return { hand: waterC, mixer: waterC, processor: waterC }
  const heatJ = (wanted: (row: WorkedRow) => boolean) =>
    rows.reduce((sum, row) => (wanted(row) ? sum + row.grams * heatCapacityJ(row.water, row.ingredient.fat) : sum), 0)
  const heats = { waterJ: heatJ(({ part }) => part === 'water'), othersJ: heatJ(({ part }) => part !== 'water') }
  const by = (worker: Worker) =>
    Math.round(waterByMachineC(waterC, warmsBy(gear, worker) - KNEADING_WARMS_C.hand.usual, heats))
  return { hand: waterC, mixer: by('mixer'), processor: by('processor') }
}

/** Heat of the water by hand, as it is meant: typed, what the shape needs, or by the school; null where none is poured. */
export function meantWaterC(sheet: Sheet, dough: Dough, shape: Shape, { schools, gear }: Kitchen): number | null {
  const sets = setsFor(schools, { dough, shape }, gear.schools, sheet.schools)
  // What a shape needs no school takes from it.
  return sheet.waterC ?? asShape(shape, dough)?.waterC ?? waterCFor(dough, sets)
}

/** The bubbles are gone after ten minutes: it stands for five, and goes into the pot. */
export const SPARKLES_MIN = 10
const SPARKLING_REST = { restMin: SPARKLES_MIN / 2, restCold: false } as const
export const sparkles = (rows: readonly WorkedRow[]): boolean =>
  rows.some((row) => row.grams > 0 && row.ingredient.id === 'water-sparkling')

/** By the maker's school, or what the shape's soup wants; what goes with the salt that is in the dough; or the dough's own. */
function potSaltGPerL(dough: Dough, shape: Shape, rows: readonly WorkedRow[], sets: SchoolSets): number {
  const { saltPercent: range, potWithSaltGPerL } = sets
  const salt = rows.reduce((sum, row) => (row.ingredient.group === 'salt' ? sum + row.percent : sum), 0)
  const goesWithIt = range && salt >= range.low - 1e-9 && salt <= range.high + 1e-9
  return (
    asShape(shape, dough)?.potSaltGPerL ??
    sets.potSaltGPerL ??
    (goesWithIt ? potWithSaltGPerL : undefined) ??
    dough.pot.saltGPerL
  )
}

export function practiceOf(
  sheet: Sheet,
  dough: Dough,
  shape: Shape,
  rows: readonly WorkedRow[],
  kitchen: Kitchen,
): Practice {
  const { schools, gear } = kitchen
  const sets = setsFor(schools, { dough, shape }, gear.schools, sheet.schools)
  const asked = sparkles(rows) ? SPARKLING_REST : { ...restOf(dough, sets.rest), ...restAsRead(sheet) }
  const rest = safeRest(asked, dough, rows, benchC(kitchen))
  const kneads = workerFor(sheet, dough, gear)
  // Egg is used as cool as it comes.
  const poured = rows.filter((row) => row.part === 'water' && row.grams > 0)
  const isEggAlone = poured.length > 0 && poured.every(({ ingredient }) => ingredient.group === 'egg')
  const byHandC = isEggAlone && sheet.waterC === null ? null : meantWaterC(sheet, dough, shape, kitchen)
  const waterBy = waterByWorker(sheet, atMostTheBoil(byHandC, gear.altitudeM), rows, gear)
  return {
    sets,
    waterC: waterBy?.[kneads] ?? null,
    waterBy,
    kneads,
    ...rest,
    restAsked: notGiven(asked, rest, dough, rows, benchC(kitchen)),
    potSaltGPerL: potSaltGPerL(dough, shape, rows, sets),
  }
}
