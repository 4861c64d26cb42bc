/**
 * Every dough as every shape it is listed for, as it starts and with each of ten changes of its rows: what the plan then says
 * agrees with itself, with the rows and with the tables.
 */
import {
  benchPieces,
  bowlOnRule,
  cautionsOf,
  computeSheet,
  doughFor,
  firstPour,
  heldBack,
  heldFlourG,
  initialState,
  plannedOnRule,
  planBatch,
  planSchema,
  shapesFor,
  startSheet,
  waterTargets,
  isPoured,
  isStillWater,
  onRule,
  weighedFirst,
  weighedWithWater,
  type Dough,
  type Kitchen,
  type Plan,
  type PlannedStep,
  type Shape,
  type Worked,
} from '@harina/core'
import { doughs, shapes } from './index.ts'
import { rowChanges } from './testing/rowChanges.ts'
import { withMachines } from './testing/withMachines.ts'

const AT = '2031-03-01T09:00:00Z'
const kitchen: Kitchen = withMachines

interface Case {
  readonly title: string
  readonly dough: Dough
  readonly shape: Shape
  readonly change: string
  readonly worked: Worked
  readonly plan: Plan
}

const cases: readonly Case[] = doughs.flatMap((dough) =>
  shapesFor(dough, shapes).flatMap((shape) =>
    Object.entries(rowChanges).flatMap(([change, apply]) => {
      const computed = computeSheet(apply(startSheet(dough, shape, kitchen)), kitchen)
      // What already brings more water than the dough takes is refused in words, and not made.
      if (!computed.ok) return []
      const plan = planBatch(computed.value, kitchen, AT, null)
      return [{ title: `${dough.id} as ${shape.id}, ${change}`, dough, shape, change, worked: computed.value, plan }]
    }),
  ),
)

/** The titles of the cases where something is wrong. */
const faults = (wrong: (each: Case) => boolean): readonly string[] => cases.filter(wrong).map(({ title }) => title)
const stepsOfKind = <K extends PlannedStep['kind']>({ plan }: Case, kind: K) =>
  plan.steps.filter((step): step is Extract<PlannedStep, { kind: K }> => step.kind === kind)
const holds = ({ worked }: Case, test: (id: string) => boolean) =>
  worked.rows.some((row) => row.grams > 0 && test(row.ingredient.id))
const isMoist = (id: string) =>
  /^(egg-(whole|yolk|white)|milk|butter|ricotta|quark|curd|yoghurt|cheese|spinach-puree)/.test(id)

it('nearly every change of every pair is a dough', () => {
  expect(cases.length).toBeGreaterThan(1500)
  expect(faults(({ plan }) => !planSchema.safeParse(plan).success)).toEqual([])
})

it('every row is called for at the bench, however small: on a scale of 5 g, for one portion', () => {
  const coarse: Kitchen = { ...kitchen, gear: { ...kitchen.gear, scaleStepG: 5 } }
  const lost = doughs.flatMap((dough) => {
    const [shape] = shapesFor(dough, shapes)
    return Object.entries(rowChanges).flatMap(([change, apply]) => {
      const sheet = { ...apply(startSheet(dough, shape!, coarse)), target: { by: 'dough' as const, grams: 120 } }
      const computed = computeSheet(sheet, coarse)
      if (!computed.ok) return []
      const plan = planBatch(computed.value, coarse, AT, null)
      const called = new Set([...weighedFirst(plan), ...weighedWithWater(plan)].map(({ key }) => key))
      return computed.value.rows.flatMap(({ key, grams, part, ingredient }) => {
        const planned = plan.rows.find((row) => row.key === key)!
        const isCalled = part === 'water' ? planned.weighedG > 0 : called.has(key) && planned.weighedG > 0
        return grams < 0.005 || isCalled ? [] : [`${dough.id}, ${change}: ${ingredient.name}, ${grams.toFixed(2)} g`]
      })
    })
  })
  expect(lost).toEqual([])
})

it('no forbidden finish: what holds egg, milk, curd or purée, or a filling, is never offered the rack, and is cautioned', () => {
  const offersRack = (each: Case) => stepsOfKind(each, 'air').some(({ keeps }) => keeps.driedMonths !== null)
  expect(faults((each) => offersRack(each) && (holds(each, isMoist) || each.shape.fillingG !== undefined))).toEqual([])
  const isEgg = (id: string) => /^(egg-(whole|yolk|white)|milk|butter|ricotta|quark|curd|yoghurt|cheese)/.test(id)
  expect(faults((each) => holds(each, isEgg) !== cautionsOf(each.worked).includes('egg-dairy'))).toEqual([])
  expect(
    faults((each) => (each.shape.fillingG !== undefined) !== cautionsOf(each.worked).includes('fillings')),
  ).toEqual([])
  // And what is plain flour, water and salt, and dries by the table, is.
  expect(
    faults(
      (each) =>
        each.change === 'as started' &&
        each.shape.keep.driedMonths !== null &&
        stepsOfKind(each, 'air').length > 0 &&
        each.worked.keeping.wet.length === 0 &&
        !offersRack(each),
    ),
  ).toEqual([])
})

it('keep limits are never longer than the table’s, nor than an hour warm and a day cold for what spoils first', () => {
  expect(
    faults(({ worked, shape }) => {
      const { roomMin, fridgeH, freezerMonths } = worked.keeping
      return (
        roomMin > shape.keep.roomH * 60 ||
        fridgeH > shape.keep.fridgeDays * 24 ||
        freezerMonths > shape.keep.freezerMonths
      )
    }),
  ).toEqual([])
  expect(
    faults(({ worked: { keeping } }) => keeping.perishable && (keeping.roomMin > 60 || keeping.fridgeH > 24)),
  ).toEqual([])
})

it('airing stays within what the dough may lie open, a warm rest within what is in it', () => {
  expect(
    faults((each) =>
      stepsOfKind(each, 'air').some(({ minutes, keeps }) => minutes[1] > keeps.roomMin || minutes[0] > minutes[1]),
    ),
  ).toEqual([])
  expect(
    faults((each) =>
      stepsOfKind(each, 'rest').some(({ cold, high }) => !cold && high > each.worked.keeping.dough.warmMin),
    ),
  ).toEqual([])
  expect(faults((each) => stepsOfKind(each, 'rest').some(({ low, best, high }) => low > best || best > high))).toEqual(
    [],
  )
})

it('the count on the sheet is the count at the board, and what is asked for by pieces can be cut', () => {
  expect(
    faults(({ worked, plan }) => {
      const poured = { ...initialState, pouredG: worked.water.totalG, addedFlourG: heldFlourG(plan, initialState) }
      const atBoard = benchPieces(plan, poured).pieces
      return atBoard !== worked.cut.pieces
    }),
  ).toEqual([])
  expect(faults(({ plan, worked }) => plan.shape.pieces !== worked.cut.pieces)).toEqual([])
  expect(
    faults(({ worked, shape, change }) => {
      if (change !== 'as started') return false
      const { cut, batch } = worked
      const rolling = cut.sheet && {
        roller: kitchen.gear.rollers[0] ?? null,
        belt: false,
        folds: cut.sheet.folds,
        hydrationPercent: worked.expected14,
      }
      const doughG = doughFor(48, shape.blank, batch.densityGPerCm3, kitchen.gear.boardMm, rolling)
      const again = computeSheet({ ...worked.sheet, lossPercent: 0, target: { by: 'pieces', count: 48 } }, kitchen)
      if (!again.ok || again.value.cut.pieces < 48) return true
      const spareG = (worked.rows.length + batch.doughG / batch.flourG) * kitchen.gear.scaleStepG
      return again.value.usableG < doughG - 1e-6 || again.value.usableG > 1.01 * doughG + spareG
    }),
  ).toEqual([])
})

it('no step names what the batch has not: no pour without water, no fill without a filling, no rope of a batter', () => {
  expect(faults((each) => stepsOfKind(each, 'pour').length > 0 && !isPoured(each.plan.rows))).toEqual([])
  expect(faults((each) => stepsOfKind(each, 'water').length > 0 && !isPoured(each.plan.rows))).toEqual([])
  // Only plain water with nothing to dissolve in it needs no step of its own.
  expect(
    faults(({ plan }) => {
      const dry = plan.steps.some((step) => step.kind === 'pour' && ['beat', 'rub', 'scald'].includes(step.how))
      const needs = plan.rows.some(
        ({ part, weighedG, ingredient }) =>
          weighedG > 0 &&
          (part === 'alkali' ||
            part === 'other' ||
            (part === 'salt' && !dry) ||
            (part === 'water' && !isStillWater(ingredient))),
      )
      const makes = plan.steps.some(({ kind }) => kind === 'water')
      return isPoured(plan.rows) && makes !== needs
    }),
  ).toEqual([])
  expect(faults((each) => stepsOfKind(each, 'fill').length > 0 !== (each.shape.fillingG !== undefined))).toEqual([])
  expect(faults((each) => stepsOfKind(each, 'roll').length > 0 && each.shape.blank.type !== 'rope')).toEqual([])
  expect(
    faults(
      (each) =>
        stepsOfKind(each, 'temper').length > 0 && (each.shape.method === 'drop' || each.dough.control.by === 'base'),
    ),
  ).toEqual([])
  expect(faults((each) => stepsOfKind(each, 'press').length > 0 !== (each.shape.blank.type === 'die'))).toEqual([])
})

it('every gram is accounted for: rows are the dough, first pour and what is held back are the jug, salts go in whole', () => {
  expect(
    faults(({ worked, plan }) => {
      const rows = worked.rows.reduce((sum, row) => sum + row.grams, 0)
      const { startG, holdBackG, totalG } = waterTargets(plan, { weighedG: {} })
      return Math.abs(rows - worked.batch.doughG) > 1e-6 * rows || Math.abs(startG + holdBackG - totalG) > 1e-6
    }),
  ).toEqual([])
  // Each row goes on the scale in one step; all that is poured goes through a pour.
  expect(
    faults(({ plan }) => {
      const weighed = [...weighedFirst(plan), ...weighedWithWater(plan)].map(({ key }) => key)
      const rows = plan.rows.filter(({ part, weighedG }) => part !== 'water' && weighedG > 0).map(({ key }) => key)
      return weighed.length !== rows.length || rows.some((key) => !weighed.includes(key))
    }),
  ).toEqual([])
  expect(faults((each) => isPoured(each.plan.rows) && stepsOfKind(each, 'pour').length === 0)).toEqual([])
  // Stiff doughs hold back two points at the most: late water never gets into a crumb.
  expect(
    faults(({ worked, plan }) => {
      if (plan.control.by === 'base' || worked.expected14 >= 36) return false
      const flourG = worked.batch.flourG
      return (100 * plan.water.holdBackG) / flourG > 2.2 + (100 * plan.scaleStepG) / flourG
    }),
  ).toEqual([])
})

it('flour waits beside every base that is felt, none beside what sets or is poured, and first and held are the whole', () => {
  const isHeld = ({ dough: { control, course } }: Case) =>
    control.by === 'base' && course.some((step) => step.do === 'feel') && course.every((step) => step.do !== 'spread')
  expect(faults((each) => isHeld(each) !== heldFlourG(each.plan, initialState) > 0)).toEqual([])
  expect(
    faults(({ plan }) => {
      const held = heldBack(plan, initialState)
      if (held?.what !== 'flour') return false
      const flourG = plan.rows.reduce((sum, row) => (row.part === 'flour' ? sum + row.weighedG : sum), 0)
      const share = held.leftG / flourG
      const all = { ...initialState, addedFlourG: held.leftG }
      return (
        share < 0.12 ||
        share > 0.36 ||
        firstPour(plan, initialState) >= plannedOnRule(plan) ||
        Math.abs(bowlOnRule(plan, all) - plannedOnRule(plan)) > 1e-6 ||
        heldBack(plan, all)?.leftG !== 0
      )
    }),
  ).toEqual([])
})

it('the sheet and the bench say one figure: where the rule stands, and what that is on standard flour', () => {
  expect(
    faults(({ worked, plan }) =>
      worked.control.by === 'base'
        ? // What is weighed of flour and base is rounded to the scale; the rule reads what was weighed.
          Math.abs(onRule(worked) - plannedOnRule(plan)) > 0.3
        : Math.abs(onRule(worked) - plannedOnRule(plan)) > 1e-6 ||
          Math.abs(worked.expected14 - plan.hydration.expected14) > 1e-6,
    ),
  ).toEqual([])
})
