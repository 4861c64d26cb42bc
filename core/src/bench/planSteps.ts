/** From formula, family, method, school and machines to the steps of one batch. */
import { temperMinutes, thawHours } from '../heat/index.ts'
import { specOf, type CourseStep, type KeptPress, type PlannedStep, type Shape, type StepOf } from '../model/index.ts'
import {
  airing,
  benchC,
  benchRh,
  foldsFor,
  forFlour,
  isCurdBased,
  isFilled,
  isStillWater,
  SPARKLES_MIN,
  sparkles,
  keepingOf,
  type Kitchen,
  rollerFor,
  machineMin,
  madeOf,
  pressFor,
  SCALDS_C,
  rawBase,
  routeOf,
  scalded,
  type Worked,
  fillingOf,
} from '../sheet/index.ts'
import { FRIDGE_C, warmShare } from '../safety/index.ts'
import { bodyOf } from './body.ts'
import { isPoured } from './jug.ts'
import { LUMP_G } from './prepared.ts'
import { readyItems } from './ready.ts'
import { weighedWithWater } from './weighed.ts'

/** Below this hands can work it. °C. */
const HAND_WARM_C = 45
/** A dough laid out flat, and crumbs or clods torn open to cool. Half of its thickness, mm. */
const FLAT_HALF_MM = 15
const TORN_HALF_MM = 6
const CRUMB_HALF_MM = 4
/** Still air on a wrapped lump, and on one torn open that steams, W/m²K. */
const STILL_AIR = 10
const STEAMING = 20
/** Cold dough bends without cracking from here on, °C: it need not come all the way back. */
const PLIABLE_C = 15

/** What comes back from the fridge. */
export type Chilled = 'lump' | 'sheet' | 'loose'
/** A sheet of a few millimetres, and a flat lump: no sooner and no later, min. */
const BACK_MIN: Readonly<Record<Exclude<Chilled, 'loose'>, readonly [number, number]>> = {
  sheet: [15, 25],
  lump: [30, 60],
}
const SHEET_HALF_MM = 4

/**
 * How long a chilled dough takes until it bends, min; batter and pieces are used cold. Moisture as a fraction of mass.
 * @example backFromFridgeMin('lump', 21, 0.42) → 60; backFromFridgeMin('sheet', 21, 0.42) → 25
 */
export function backFromFridgeMin(what: Chilled, atC: number, moisture: number): number {
  if (what === 'loose') return 0
  const [soonest, latest] = BACK_MIN[what]
  const reckoned = temperMinutes({
    shape: 'slab',
    halfThicknessMm: what === 'sheet' ? SHEET_HALF_MM : FLAT_HALF_MM,
    fromC: FRIDGE_C,
    roomC: atC,
    withinC: Math.max(1, atC - PLIABLE_C),
    moisture,
    hWPerM2K: STILL_AIR,
  })
  return Math.min(latest, Math.max(soonest, Math.round(reckoned / 5) * 5))
}

/**
 * How long a frozen lump, pressed flat, thaws in the fridge, whole hours. Moisture as a fraction of mass.
 * @example thawH(0.42) → 9
 */
export const thawH = (moisture: number): number =>
  Math.ceil(thawHours({ thicknessMm: 2 * FLAT_HALF_MM, roomC: FRIDGE_C, moisture, hWPerM2K: STILL_AIR }))

/** What of a dough lies in the fridge before a step: a batter, a sheet that is folded or thinned, shaped pieces, or a lump. */
export function chilledBefore(steps: readonly PlannedStep[], step: Pick<PlannedStep, 'id'> | null): Chilled {
  const after = steps.slice(
    Math.max(
      0,
      steps.findIndex(({ id }) => id === step?.id),
    ),
  )
  const has = (...kinds: readonly PlannedStep['kind'][]) => after.some(({ kind }) => kinds.includes(kind))
  if (has('drop')) return 'loose'
  const isShaped = !after.some((each) => specOf(each).shapes)
  if (isShaped) return 'loose'
  const folded = steps.some(({ kind }) => kind === 'fold') && !has('fold')
  return folded || (has('cut', 'stamp') && !has('thin')) ? 'sheet' : 'lump'
}

interface Making {
  readonly worked: Worked
  readonly kitchen: Kitchen
}

/** Where hot water on this flour lands, °C. */
const scaldedC = ({ worked, kitchen }: Making): number => scalded(worked, kitchen).doughC

function coolStep(making: Making, belowC: number): PlannedStep[] {
  const { worked } = making
  const fromC = scaldedC(making)
  if (fromC <= belowC) return []
  const atC = benchC(making.kitchen)
  const minutes = temperMinutes({
    shape: 'slab',
    // Scalded flour without gluten lies in crumbs; a wheat dough is torn open.
    halfThicknessMm: bodyOf(worked.dough, making.kitchen) === 'starch' ? CRUMB_HALF_MM : TORN_HALF_MM,
    fromC,
    roomC: atC,
    withinC: Math.max(1, belowC - atC),
    moisture: worked.batch.doughMoisture,
    hWPerM2K: STEAMING,
  })
  return [{ id: 'cool', kind: 'cool', fromC: Math.round(fromC), belowC, minutes: Math.max(2, Math.round(minutes)) }]
}

const shares = (goes: readonly number[]): number[] => {
  const all = goes.reduce((sum, part) => sum + part, 0)
  return goes.map((part) => part / all)
}

/** In how many goes: the school's way, or else the dough's own. */
function goesOf({ worked }: Making, own: readonly number[]): number[] {
  const { goes } = worked.practice.sets
  return goes === 'once' ? [1] : shares(goes === 'thirds' ? [1, 1, 1] : own)
}

/** Semolina that is wetted before the other flours: the keys of either; null where the dough has no such way, or only one of them. */
function soaked({
  rows,
  water,
  dough,
  practice,
}: Worked): { readonly semolina: string[]; readonly others: string[] } | null {
  const flours = rows.filter(({ part, weighedG }) => part === 'flour' && weighedG > 0)
  const keys = (isSemolina: boolean) =>
    flours.filter(({ ingredient }) => (ingredient.grain === 'durum') === isSemolina).map(({ key }) => key)
  const found = { semolina: keys(true), others: keys(false) }
  // Who pours at once or in thirds wets all of the flour together.
  const hasWay = dough.course.some((each) => each.do === 'soak') && practice.sets.goes === undefined && water.totalG > 0
  return hasWay && found.semolina.length > 0 && found.others.length > 0 ? found : null
}

const rowsPoured = ({ rows }: Worked) => rows.map((row) => ({ ...row, ingredient: row.ingredient.id }))

function pourSteps(making: Making, { how, goes }: Extract<CourseStep, { do: 'pour' }>): PlannedStep[] {
  const { worked } = making
  if (!isPoured(rowsPoured(worked))) return []
  const hot = worked.water.totalG > 0 && (worked.practice.waterC ?? 0) >= SCALDS_C
  if (hot && how !== 'scald' && how !== 'beat')
    // Scalded it goes in at once, unless the school wants goes.
    return [{ id: 'pour', kind: 'pour', how: 'scald', goes: goesOf(making, [1]) }, ...coolStep(making, HAND_WARM_C)]
  return [
    {
      id: 'pour',
      kind: 'pour',
      how: how === 'scald' && !hot && scaldedC(making) < HAND_WARM_C ? 'rake' : mixedAs(making, how),
      // What brings no plain water is one vessel, poured whole.
      goes: worked.water.totalG > 0 ? goesOf(making, goes) : [1],
    },
  ]
}

/** Raked, forked out of a well or rubbed, as the maker mixes; what is sprinkled, beaten or fed to a screw has its own way. */
const mixedAs = ({ worked }: Making, how: StepOf<'pour'>['how']): StepOf<'pour'>['how'] =>
  how === 'rake' || how === 'fork' || how === 'rub' ? (worked.practice.sets.mix ?? how) : how

/** What the semolina has had is no go of its own any more. */
function afterSoak({ worked }: Making, steps: PlannedStep[]): PlannedStep[] {
  const soak = worked.dough.course.find((each) => each.do === 'soak')
  if (soak?.do !== 'soak' || !soaked(worked)) return steps
  const left = 1 - soak.share
  return steps.map((step) =>
    step.kind === 'pour' ? { ...step, goes: [soak.share, ...step.goes.map((go) => go * left)] } : step,
  )
}

/** A warm rest, min: no longer than what is in the dough may lie in this room. */
const warmAtMost =
  ({ worked: { keeping }, kitchen }: Making) =>
  (minutes: number): number =>
    Math.min(keeping.dough.warmMin * warmShare(benchC(kitchen)), minutes)

/** A lump that lay in the fridge for less bends as it comes out, min. */
const FIRM_FROM_MIN = 60

/** What a rest in the fridge leaves: doughs on a base are used cold, as batters are. */
const restedAs = ({ dough, shape }: Worked, of: string): Chilled =>
  dough.control.by === 'base' || shape.method === 'drop' ? 'loose' : of === 'sheet' ? 'sheet' : 'lump'

function restSteps(making: Making, { of, minutes }: Extract<CourseStep, { do: 'rest' }>, id: string): PlannedStep[] {
  const { worked, kitchen } = making
  const { dough, practice, batch } = worked
  const atMost = warmAtMost(making)
  const oiled = of === 'dough' && practice.sets.oilOnSkin === true ? { oiled: true as const } : {}
  if (minutes) {
    const best = Math.round((minutes[0] + minutes[1]) / 2)
    const cold = isCurdBased(worked.rows)
    const span = { low: atMost(minutes[0]), best: atMost(best), high: atMost(minutes[1]) }
    return [{ id, kind: 'rest', of, cold, ...span, ...oiled }]
  }
  if (practice.restMin < 1) return []
  const cold = practice.restCold
  const warm = sparkles(worked.rows) ? { low: practice.restMin, high: SPARKLES_MIN } : dough.restMin
  const span = cold ? { low: dough.restColdH.low * 60, high: dough.restColdH.high * 60 } : warm
  const best = cold ? practice.restMin : atMost(practice.restMin)
  const low = Math.min(best, atMost(span.low))
  const high = Math.max(best, cold ? Math.min(span.high, worked.keeping.dough.coldH * 60) : atMost(span.high))
  const rest: PlannedStep = { id, kind: 'rest', of, cold, low, best, high, ...oiled }
  // Half an hour cools the skin, and leaves the middle soft.
  if (best < FIRM_FROM_MIN) return [rest]
  const back = backFromFridgeMin(restedAs(worked, of), benchC(kitchen), batch.doughMoisture)
  return cold && back > 0 ? [rest, { id: 'temper', kind: 'temper', minutes: back }] : [rest]
}

/** Identifiers by kind; the second of a kind gets a number, and so on. */
function numbering() {
  const seen = new Map<string, number>()
  return (kind: string) => {
    const n = (seen.get(kind) ?? 0) + 1
    seen.set(kind, n)
    return n === 1 ? kind : `${kind}-${n}`
  }
}

/** The press of a sheet, with what it takes of this flour. */
function pressOf({ sheet, flourShift }: Worked, kitchen: Kitchen): KeptPress | null {
  const press = pressFor(sheet, kitchen)
  return press && forFlour(press, flourShift)
}

/** In two unless the maker folds otherwise. */
const foldedIn = ({ worked }: Making): Pick<StepOf<'fold'>, 'inTo'> => {
  const { folds } = worked.practice.sets
  return folds && folds !== 'two' ? { inTo: folds } : {}
}

/** Until a batter is smooth, and no longer, min. */
const COMBINED_MIN = [1, 2] as const

function courseSteps(making: Making, rolled: boolean): readonly PlannedStep[] {
  const { dough } = making.worked
  const { sets } = making.worked.practice
  const nextId = numbering()
  const atMost = warmAtMost(making)
  return dough.course.flatMap((each): readonly PlannedStep[] => {
    switch (each.do) {
      case 'prepare':
        return []
      case 'soak': {
        const found = soaked(making.worked)
        if (!found) return []
        const { share, minutes } = each
        return [
          { id: 'soak', kind: 'pour', how: 'soak', goes: [share] },
          { id: 'soaking', kind: 'drink', of: 'semolina', minutes },
          { id: 'flour-rest', kind: 'flour', rows: found.others },
        ]
      }
      case 'pour': {
        const combined = each.how === 'beat' && sets.batter === 'combined' ? { combined: true as const } : {}
        return afterSoak(making, pourSteps(making, each)).map((step) =>
          step.kind === 'pour' ? { ...step, ...combined } : step,
        )
      }
      case 'cool':
        return coolStep(making, each.belowC)
      case 'feel':
        return [{ id: nextId('feel'), kind: 'feel' }]
      case 'crumb':
        return [{ id: nextId('crumb'), kind: 'drink', minutes: each.minutes }]
      case 'knead': {
        const combined = each.how === 'beat' && sets.batter === 'combined'
        return [
          {
            id: nextId('knead'),
            kind: 'knead',
            how: each.how,
            ...(combined ? { combined: true as const } : {}),
            hand: combined
              ? [...COMBINED_MIN]
              : (each.minutes ?? making.worked.sheet.asRead?.kneadMin ?? dough.kneadMin),
            ...(combined ? { mixer: null, processor: null } : machineMin(each, dough)),
          },
        ]
      }
      case 'rounds':
        return Array.from({ length: each.times }, (): PlannedStep[] => [
          {
            id: nextId('rest'),
            kind: 'rest',
            of: 'dough',
            cold: false,
            low: atMost(each.restMin),
            best: atMost(each.restMin),
            high: atMost(each.restMin * 2),
            ...(sets.oilOnSkin ? { oiled: true as const } : {}),
          },
          {
            id: nextId('knead'),
            kind: 'knead',
            how: each.how ?? 'push',
            hand: [each.kneadMin, each.kneadMin + 1],
            mixer: null,
            processor: null,
          },
        ]).flat()
      case 'spread':
        return [{ id: 'spread', kind: 'spread', thicknessMm: each.thicknessMm, minutes: each.minutes }]
      case 'fold':
        // A dough for the press goes in as crumbs.
        return rolled ? [{ id: nextId('fold'), kind: 'fold', times: each.times, ...foldedIn(making) }] : []
      case 'rest':
        return restSteps(making, each, nextId('rest'))
    }
  })
}

/** A sheet that is to lie open lies until it feels like soft leather. Usual practice in a room of middling air, min. */
const AIRED_MIN = [10, 20] as const
/** In dry air the sooner, in damp air the later. */
const DRY_BELOW_RH = 45
const DAMP_FROM_RH = 70

/** How long this sheet lies open before it is cut, min; null where it is cut at once. */
function openMin({ worked, kitchen }: Making, shape: Shape): [number, number] | null {
  const { airSheet } = worked.practice.sets
  const asked = airSheet === false ? null : (shape.airBeforeCutMin ?? (airSheet ? AIRED_MIN : null))
  if (!asked) return null
  const rh = benchRh(kitchen)
  const by = rh < DRY_BELOW_RH ? 0.5 : rh >= DAMP_FROM_RH ? 1.5 : 1
  return [Math.round(asked[0] * by), Math.round(asked[1] * by)]
}

function shapingSteps({ worked, kitchen }: Making, shape: Shape): readonly PlannedStep[] {
  const { sheet, practice } = worked
  const { blank, method } = shape
  const perMin = shape.piecesPerMin.practised
  const step = (kind: 'divide' | 'roll' | 'pull' | 'cut'): PlannedStep => ({ id: kind, kind })
  const formed: PlannedStep = { id: 'shape', kind: 'shape', perMin }
  const filling = isFilled(sheet, shape) ? fillingOf(sheet, shape) : null
  const fill: PlannedStep[] = filling ? [{ id: 'fill', kind: 'fill', ...filling }] : []
  if (blank.type === 'die') {
    const route = routeOf(shape, worked, kitchen)
    // Sums of shares end in a rounding; no plan keeps that.
    const shift = Number(worked.flourShift.toFixed(6)) + 0
    const press: PlannedStep = { id: 'press', kind: 'press', press: pressOf(worked, kitchen), shift }
    // Crumbs are fed as they lie; a dough goes in by balls or a lump.
    return route?.as === 'crumb' ? [press] : [step('divide'), press]
  }
  if (method === 'drop') return []
  if (method === 'pull') return [step('divide'), step('pull')]
  // A paste that was spread is stamped where it lies.
  if (worked.dough.course.some((each) => each.do === 'spread')) return [{ id: 'stamp', kind: 'stamp', perMin }]
  if (shape.sheeted) {
    const cut: PlannedStep =
      blank.type === 'disc' || method === 'stamp' ? { id: 'stamp', kind: 'stamp', perMin } : step('cut')
    const byHand = method === 'hand' ? [formed] : []
    const roller = rollerFor(sheet, kitchen.gear)
    const { belt } = sheet.machines
    const foldedBefore = worked.dough.course.some((each) => each.do === 'fold')
    const minutes = openMin({ worked, kitchen }, shape)
    const aired: PlannedStep[] = minutes ? [{ id: 'air-sheet', kind: 'airSheet', minutes }] : []
    const many = worked.usableG > LUMP_G && !foldedBefore
    return [
      // Into lumps the roller or the pin can take; what was folded is a sheet already.
      ...(many ? [step('divide')] : []),
      {
        id: 'thin',
        kind: 'thin',
        roller,
        folds: foldsFor({ ...worked, hydration14: worked.expected14 }, kitchen.gear),
        belt: belt && roller !== null,
        ...foldedIn({ worked, kitchen }),
        ...(practice.sets.passing === 'piece' && roller ? { oneByOne: true as const } : {}),
      },
      ...aired,
      cut,
      ...fill,
      ...byHand,
    ]
  }
  return blank.type === 'rope' ? [step('divide'), step('roll'), formed, ...fill] : [step('divide'), formed, ...fill]
}

function finishSteps({ worked, kitchen }: Making, shape: Shape): readonly PlannedStep[] {
  const { sets } = worked.practice
  const after = shape.fillingG === undefined ? (sets.rinse ?? (shape.rinse ? 'rinse' : 'plain')) : 'plain'
  const rinse: PlannedStep[] =
    after === 'plain' ? [] : [{ id: 'rinse', kind: 'rinse', ...(after === 'ice' ? { how: 'ice' as const } : {}) }]
  const { done, afterFloatMin } = sets
  const sign = done ? { done, ...(done === 'after' && afterFloatMin ? { afterFloatMin } : {}) } : {}
  if (shape.method === 'drop') return [{ id: 'drop', kind: 'drop', ...sign }, ...rinse]
  // Skins kept empty go into the fridge or the freezer, and are filled and cooked another day.
  const cook: PlannedStep[] =
    worked.sheet.unfilled && shape.fillingG
      ? []
      : [{ id: 'cook', kind: 'cook', how: shape.heat ?? 'boil', ...(shape.heat ? {} : sign) }, ...rinse]
  const chill: PlannedStep[] = shape.chillH
    ? [
        {
          id: 'chill',
          kind: 'rest',
          of: 'pieces',
          cold: true,
          low: shape.chillH[0] * 60,
          best: Math.round((shape.chillH[0] + shape.chillH[1]) / 2) * 60,
          high: shape.chillH[1] * 60,
        },
      ]
    : []
  const waits = shape.airBeforeCookMin[1] > 0 || shape.fillingG !== undefined || shape.group === 'gnocchi'
  if (chill.length > 0 || !waits) return [...chill, ...cook]
  const keeping = keepingOf(worked, shape, kitchen)
  const { perishable: _, wet, ...keeps } = keeping
  const minutes = [...airing(shape.airBeforeCookMin, keeping, benchC(kitchen))] as [number, number]
  return [{ id: 'air', kind: 'air', minutes, keeps: { ...keeps, wet: [...wet] } }, ...cook]
}

/** From the divided dough to the pot, as one of the shapes it is made into. */
export const stepsAs = (worked: Worked, shape: Shape, kitchen: Kitchen): readonly PlannedStep[] => [
  ...shapingSteps({ worked, kitchen }, shape),
  ...finishSteps({ worked, kitchen }, shape),
  { id: 'verdict', kind: 'verdict' },
]

/** A potato's school of heat, unless egg goes in, which wants it cool. */
function baseBelowC({ rows, practice }: Worked): number | undefined {
  const egg = rows.some((row) => row.grams > 0 && row.ingredient.group === 'egg')
  const { baseBelowC: asked } = practice.sets
  return egg ? undefined : asked
}

/** What cooked flesh loses while it steams off, and in a dry pan, of what is left of it then. */
const STEAMED_OFF = 0.04
const DRIED_OFF = 0.1

function prepareSteps(worked: Worked, wanted: (what: StepOf<'prepare'>['what']) => boolean): readonly PlannedStep[] {
  return worked.dough.course.flatMap((each): PlannedStep[] => {
    if (each.do !== 'prepare' || !wanted(each.what)) return []
    const { what, minutes } = each
    const asked = what === 'steam' ? baseBelowC(worked) : undefined
    const prepare = { id: 'prepare', kind: 'prepare', what, minutes, belowC: asked ?? each.belowC ?? null } as const
    const made = rawBase(worked)
    if (!made) return [prepare]
    const { from, rawG, readyG: leftG } = made
    // Curd that goes in as it was bought is not drained.
    if (from.by === 'bought') return what === 'drain' ? [] : [{ ...prepare, leftG }]
    if (from.by === 'drain' || from.by === 'grate') return [{ ...prepare, rawG, leftG }]
    const before = { ...prepare, belowC: null }
    const hotG = leftG * (1 + (what === 'dry' ? DRIED_OFF : STEAMED_OFF))
    return [
      { ...before, id: 'prepare-cook', what: from.by, minutes: from.minutes, rawG },
      ...(what === 'steam'
        ? [{ ...before, id: 'prepare-rice', what: 'rice', minutes: RICING_MIN, leftG: hotG } as const]
        : []),
      { ...prepare, leftG },
    ]
  })
}

/** Peeled and pushed through a ricer while they are hot, min. */
const RICING_MIN: [number, number] = [5, 10]

/**
 * The steps that fall away with a base that is cooked already: this one, and for a cold one the steaming, since what
 * steam it had is gone.
 */
export function cookedAlready(
  steps: readonly PlannedStep[],
  { id }: Pick<StepOf<'prepare'>, 'id'>,
  cold: boolean,
): readonly string[] {
  const steamed = steps.filter((step) => step.kind === 'prepare' && step.what === 'steam')
  return [id, ...(cold ? steamed.map((step) => step.id) : [])]
}

/** Named for what is poured: milk is not called water. */
function waterStep({ rows }: Worked): PlannedStep {
  const poured = rows.filter(({ part, weighedG }) => part === 'water' && weighedG > 0)
  const other = poured.find(({ ingredient }) => !isStillWater(ingredient.id))
  return { id: 'water', kind: 'water', ...(poured.length === 1 && other ? { of: other.ingredient.name } : {}) }
}

/** Every step of this sheet, in order. */
export function planSteps(asked: Worked, kitchen: Kitchen): readonly PlannedStep[] {
  const worked = { ...asked, dough: madeOf(asked.shape, asked, kitchen) }
  const making = { worked, kitchen }
  const rolled = worked.shape.sheeted === true
  const steps: readonly PlannedStep[] = [
    ...prepareSteps(worked, (what) => what !== 'simmer'),
    { id: 'flour', kind: 'flour', ...(soaked(worked) ? { rows: soaked(worked)!.semolina } : {}) },
    // Milk is weighed cold, and simmers then.
    ...prepareSteps(worked, (what) => what === 'simmer'),
    ...(isPoured(rowsPoured(worked)) ? [waterStep(worked)] : []),
    ...courseSteps(making, rolled),
    ...stepsAs(worked, worked.shape, kitchen),
  ]
  const all = isJustWater(worked, steps) ? steps.filter(({ kind }) => kind !== 'water') : steps
  return [{ id: 'ready', kind: 'ready', items: [...readyItems(worked, kitchen, all)] }, ...all]
}

/** Plain water with nothing made up in it is poured straight from the tap: it is no step of its own. */
function isJustWater(worked: Worked, steps: readonly PlannedStep[]): boolean {
  const rows = rowsPoured(worked)
  const isStill = rows.every(
    ({ part, weighedG, ingredient }) => part !== 'water' || weighedG <= 0 || isStillWater(ingredient),
  )
  return isStill && worked.water.totalG > 0 && weighedWithWater({ rows, steps: [...steps] }).length === 0
}
