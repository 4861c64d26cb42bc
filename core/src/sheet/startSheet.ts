/** A first sheet for a dough: the flour its windows are written for, everything at its best, by the maker's schools. */
import {
  type Sheet,
  type SheetRow,
  ownFlours,
  usualMachines,
  type Dough,
  type Shape,
  type ShapeDough,
  type Window,
} from '../model/index.ts'
import { metBy } from './refusal.ts'
import { setsFor } from './school.ts'
import type { SchoolSets } from './schoolSets.ts'
import { asShape, windowFor } from '../match/index.ts'
import { binderOf } from './binder.ts'
import type { Kitchen } from './kitchen.ts'
import { portionG } from './portions.ts'
import { plainWaterAt, waterCFor } from './waterHeat.ts'

const percent = (key: string, ingredient: string, value: number, kind: 'flour' | 'base' | null = null): SheetRow => ({
  key,
  ingredient,
  amount: { by: 'percent', percent: value },
  ...(kind === null ? {} : { [kind]: true as const }),
})

/** The alkali a beginner's sheet has: a common blend of the two carbonates. */
const BLEND = 'carbonate-blend-60-40'

const flourRows = (dough: Dough, as: ShapeDough | undefined, whole: number): SheetRow[] =>
  ownFlours(dough, as).map(({ flour, percent: share }, index) =>
    percent(`flour-${index + 1}`, flour, (share * whole) / 100, 'flour'),
  )

function waterIngredient(dough: Dough, as: ShapeDough | undefined, sets: SchoolSets): string {
  if (dough.family === 'batter' && sets.liquid !== undefined) return sets.liquid
  return plainWaterAt(as?.waterC ?? waterCFor(dough, sets) ?? 20)
}

/** Binder rows on 100 of base; none unless the dough or the school wants one. */
function binderRows(dough: Dough, { binder = 'starch' }: SchoolSets): SheetRow[] {
  const bound = binderOf(binder, dough)
  return bound && bound.percent > 0 ? [percent('binder', bound.ingredient, bound.percent)] : []
}

/** Salt as the sheet counts it: a dough on a base counts all on the base, though its salt be written on flour. */
function saltPercent(dough: Dough, as: ShapeDough | undefined, sets: SchoolSets, flourOnBase: number | null): number {
  const salt = as?.saltPercent ?? asked(sets.saltPercent, dough.saltPercent)
  return flourOnBase !== null && dough.saltOn === 'flour' ? Number(((salt * flourOnBase) / 100).toFixed(2)) : salt
}

function additions(
  dough: Dough,
  as: ShapeDough | undefined,
  flourOnBase: number | null,
  sets: SchoolSets,
  kitchen: Kitchen,
): SheetRow[] {
  const salt = saltPercent(dough, as, sets, flourOnBase)
  const oil = asked(sets.oilPercent, dough.oilPercent)
  const blend = kitchen.ingredients.get(BLEND)?.carbonate ?? 1
  return [
    ...(dough.eggPercent ? [percent('egg', 'egg-whole', dough.eggPercent.best)] : []),
    ...binderRows(dough, sets),
    ...(salt > 0 ? [percent('salt', 'salt-fine', salt)] : []),
    ...(dough.alkaliPercent && dough.alkaliPercent.best > 0
      ? [percent('alkali', BLEND, Number((dough.alkaliPercent.best / blend).toFixed(2)))]
      : []),
    ...(oil > 0 ? [percent('oil', 'olive-oil', oil)] : []),
    ...(dough.fatPercent ? [percent('butter', 'butter', dough.fatPercent.best)] : []),
    ...(as?.along ?? []).map((each, index) => percent(`along-${index + 1}`, each.ingredient, each.percent)),
  ]
}

/** What a school asks for where the dough's table goes so far; else what is best for the dough. */
const asked = (range: Window | undefined, window: Window): number =>
  (range && (window.best >= range.low && window.best <= range.high ? window.best : metBy(range, window))) ?? window.best

function rowsOf(dough: Dough, shape: Shape, sets: SchoolSets, kitchen: Kitchen): SheetRow[] {
  const { best } = windowFor(shape, dough).window
  const as = asShape(shape, dough)
  const rest = additions(dough, as, dough.control.by === 'base' ? best : null, sets, kitchen)
  if (dough.control.by === 'base') {
    const { bases } = dough.control
    const base = sets.base !== undefined && bases.includes(sets.base) ? sets.base : (bases[0] ?? '')
    return [percent('base', base, 100, 'base'), ...flourRows(dough, as, best), ...rest]
  }
  const water: SheetRow = {
    key: 'water',
    ingredient: as?.liquid ?? waterIngredient(dough, as, sets),
    amount: { by: 'hydration', percent: best, basis: 'basis14' },
  }
  return [...flourRows(dough, as, 100), water, ...rest]
}

/** Shapes a dough is listed for come first; a dough without any takes the first that its methods allow. */
export function shapesFor(dough: Dough, shapes: readonly Shape[]): readonly Shape[] {
  const listed = shapes.filter((shape) => shape.doughs.some((entry) => entry.dough === dough.id))
  return listed.length > 0 ? listed : shapes.filter((shape) => dough.windows[shape.method] !== undefined)
}

export function startSheet(dough: Dough, shape: Shape, kitchen: Kitchen): Sheet {
  const sets = setsFor(kitchen.schools, { dough, shape }, kitchen.gear.schools, {})
  const place = kitchen.gear.places[0]
  const course = shape.fillingG ? 'filled' : 'main'
  const ofFamily = portionG(kitchen.gear.portions, dough.family, course, 'fresh')
  return {
    name: dough.name,
    dough: dough.id,
    shape: shape.id,
    rows: rowsOf(dough, shape, sets, kitchen),
    target: { by: 'portions', count: 4, gramsEach: dough.portionG ?? ofFamily },
    lossPercent: 2,
    flourState: place ? { by: 'place', place: place.id } : { by: 'typed', moisture: 0.14 },
    useLearned: true,
    waterC: null,
    schools: {},
    vessel: null,
    note: '',
    alsoShapes: [],
    filling: null,
    unfilled: false,
    machines: usualMachines,
  }
}
