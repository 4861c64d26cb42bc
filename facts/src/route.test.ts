/** The way a dough goes is this dough's: by its water and its press, by who works it, by what is poured. */
import {
  addRow,
  benchPieces,
  isCrumb,
  initialState,
  jugOf,
  lumps,
  mixing,
  planBatch,
  pourGo,
  pressAtBench,
  pressedWell,
  pressRoute,
  provenWell,
  replay,
  shapesFor,
  startSheet,
  summarise,
  waterNowC,
  waterTargets,
  weighedFirst,
  weighedWithWater,
  WORKERS,
  workersFor,
  type Batch,
  type BenchEvent,
  type Kitchen,
  type KeptPress,
  type Plan,
  type PlannedStep,
  type Sheet,
  type StepOf,
} from '@harina/core'
import { doughs, presses, shapes } from './index.ts'
import { rowChanges } from './testing/rowChanges.ts'
import { withMachines } from './testing/withMachines.ts'
import { work } from './testing/wholeKitchen.ts'

const AT = '2031-03-01T09:00:00Z'
const pairs = doughs.flatMap((dough) => shapesFor(dough, shapes).map((shape) => ({ dough, shape })))
const dies = shapes.filter(({ blank }) => blank.type === 'die')
const planned = (sheet: Sheet, kitchen: Kitchen) => planBatch(work(sheet, kitchen), kitchen, AT, null)
const at = (sheet: Sheet, percent: number): Sheet => ({
  ...sheet,
  rows: sheet.rows.map((row) =>
    row.amount.by === 'hydration' ? { ...row, amount: { ...row.amount, percent, basis: 'basis14' } } : row,
  ),
})
const by = (sheet: Sheet, kneads: Sheet['machines']['kneads']): Sheet => ({
  ...sheet,
  machines: { ...sheet.machines, kneads },
})
const event = (action: object, n = 1): BenchEvent => ({ id: `e${n}`, at: AT, ...action }) as BenchEvent
const full = (plan: Plan) =>
  replay(plan, [event({ type: 'poured', grams: waterTargets(plan, { weighedG: {} }).totalG })])
const hasStep = (steps: readonly PlannedStep[], kind: PlannedStep['kind']) => steps.some((step) => step.kind === kind)
const poursOf = (steps: readonly PlannedStep[]) =>
  steps.filter((step): step is StepOf<'pour'> => step.kind === 'pour').map(({ how }) => how)

describe('into a press', () => {
  const kitchenWith = (press: KeptPress): Kitchen => ({
    ...withMachines,
    gear: { ...withMachines.gear, presses: [press] },
  })
  const kept = presses.map(({ note: _, ...press }): KeptPress => press)
  const pressed = ['sw-crumb', 'sw-hand', 'soft-hand', 'mixed-semolina-soft', 'whole-grain', 'alk-low']
  const all = pressed.flatMap((id) =>
    dies.slice(0, 8).flatMap((shape) =>
      kept.flatMap((press) =>
        [28, 31, 34, 37, 40, 43, 46, 50].map((percent) => {
          const kitchen = kitchenWith(press)
          const dough = doughs.find((each) => each.id === id)!
          const sheet = at(startSheet(dough, shape, kitchen), percent)
          const worked = work(sheet, kitchen)
          return {
            title: `${id} ${shape.id} ${press.id} ${percent}`,
            press,
            percent,
            worked,
            plan: planned(sheet, kitchen),
          }
        }),
      ),
    ),
  )
  const faults = (wrong: (each: (typeof all)[number]) => boolean) => all.filter(wrong).map(({ title }) => title)

  it('crumbs are never kneaded; what is kneaded rests and goes in by balls of the size the hopper takes', () => {
    expect(
      faults(({ plan: { steps } }) =>
        isCrumb(steps)
          ? steps.some((step) => step.kind === 'knead' && step.how !== 'paddle') || hasStep(steps, 'divide')
          : !steps.some((step) => step.kind === 'knead' && step.how === 'push') ||
            !hasStep(steps, 'rest') ||
            !hasStep(steps, 'divide') ||
            poursOf(steps).some((how) => how === 'thread' || how === 'sprinkle'),
      ),
    ).toEqual([])
    expect(
      faults(({ plan, press }) => {
        if (isCrumb(plan.steps)) return false
        const { count, eachG } = lumps(plan, full(plan))
        return (
          eachG > Math.max(12, press.lumpG) + 1e-9 ||
          Math.abs(count * eachG - benchPieces(plan, full(plan)).usableG) > 1e-6
        )
      }),
    ).toEqual([])
  })

  it('within what the press takes, one way or the other, nothing is said of clogging; beyond it, how far', () => {
    const wrong = faults(({ plan, press, worked: { flourShift, paper14 } }) => {
      const step = plan.steps.find((each): each is StepOf<'press'> => each.kind === 'press')!
      const { takes } = pressAtBench(plan, full(plan), step)!
      const reading = paper14 - flourShift
      const within = [press.crumb, press.dough].some(
        (window) => window && reading >= window.low && reading <= window.high,
      )
      // A hold-back of the whole dough's own rounding is no word worth.
      return takes === null || (within && Math.abs(takes.judged.outsideBy) > 4)
    })
    expect(wrong).toEqual([])
    const wet = all.find(({ title }) => title === 'sw-crumb round-strand shop-press 46')!
    const step = wet.plan.steps.find((each): each is StepOf<'press'> => each.kind === 'press')!
    expect(pressAtBench(wet.plan, full(wet.plan), step)!.takes!.judged.outsideBy).toBeGreaterThan(10)
  })

  it('the wetter, the sooner kneaded: once it is, no more water makes crumbs of it again', () => {
    for (const press of kept)
      for (const id of pressed) {
        const dough = doughs.find((each) => each.id === id)!
        const ways = Array.from({ length: 40 }, (_, n) => pressRoute(dough, dies[0]!, 25 + n, press)!.as)
        expect(ways.join(' ')).toMatch(/^(crumb ?)*(dough ?)*$/)
      }
  })

  it('what went through and was good widens what the press takes; what was poor teaches nothing', () => {
    const [press] = kept as [KeptPress]
    const kitchen = kitchenWith(press)
    const dough = doughs.find(({ id }) => id === 'sw-crumb')!
    // Of a flour that drinks more than the table's own.
    const started = at(startSheet(dough, dies[0]!, kitchen), 55)
    const soft = {
      ...started,
      rows: started.rows.map((row) => (row.flour ? { ...row, ingredient: 'durum-wholemeal' } : row)),
    }
    expect(work(soft, kitchen).flourShift).toBeGreaterThan(1)
    const plan = planned(soft, kitchen)
    const { takes } = pressAtBench(plan, full(plan), stepOfPress(plan))!
    expect(takes!.judged.outsideBy).toBeGreaterThan(1)
    const through = (verdict: string): Batch => ({
      id: 'b',
      plan,
      events: [
        event({ type: 'poured', grams: waterTargets(plan, { weighedG: {} }).totalG }, 1),
        event({ type: 'felt', feel: 'right' }, 2),
        ...plan.steps.map(({ id: step }, n) => event({ type: 'step-done', step }, n + 3)),
        event({ type: 'judged', verdict }, 90),
        event({ type: 'closed' }, 91),
      ],
    })
    const after = (verdict: string) => {
      const told = [summarise(through(verdict))]
      const learned: Kitchen = { ...kitchen, pressed: pressedWell(told), proven: provenWell(told) }
      const next = planned(soft, learned)
      return pressAtBench(next, full(next), stepOfPress(next))!.takes!.judged.outsideBy
    }
    expect(after('good')).toBeCloseTo(0, 1)
    // On the scale of the tables, whatever this flour drinks.
    const learned = summarise(through('good')).pressed!.reading
    expect(Math.abs(learned - (work(soft, kitchen).paper14 - work(soft, kitchen).flourShift))).toBeLessThan(1)
    expect(after('poor')).toBeCloseTo(takes!.judged.outsideBy, 6)
    expect(summarise(through('good')).thirst).toBeNull()
  })
  const stepOfPress = (plan: Plan) => plan.steps.find((each): each is StepOf<'press'> => each.kind === 'press')!
})

describe('by whoever works it', () => {
  const all = pairs.flatMap(({ dough, shape }) =>
    WORKERS.map((worker) => {
      const sheet = by(startSheet(dough, shape, withMachines), worker)
      const worked = work(sheet, withMachines)
      return { title: `${dough.id} ${shape.id} ${worker}`, dough, worker, worked, plan: planned(sheet, withMachines) }
    }),
  )
  const faults = (wrong: (each: (typeof all)[number]) => boolean) => all.filter(wrong).map(({ title }) => title)

  it('a machine works what it can, and hands the rest; the sheet and the bench say the same', () => {
    expect(
      faults(({ worker, worked, plan }) => {
        const can = mixing(plan, initialState).can.includes(worker)
        return (
          worked.practice.kneads !== (can ? worker : 'hand') || mixing(plan, initialState).by !== worked.practice.kneads
        )
      }),
    ).toEqual([])
    expect(
      faults(({ dough, plan }) =>
        mixing(plan, initialState).can.some(
          (each) => !workersFor(dough).includes(each) && !plan.steps.some(({ kind }) => kind === 'press'),
        ),
      ),
    ).toEqual([])
  })

  it('its water is one figure on sheet and bench, never warmer than by hand, and chosen at the bench it follows', () => {
    expect(faults(({ worked, plan }) => waterNowC(plan, initialState) !== worked.practice.waterC)).toEqual([])
    expect(
      faults(({ plan }) => {
        const { can } = mixing(plan, initialState)
        const figures = can.map((workedBy) => waterNowC(plan, { workedBy }) ?? 0)
        return figures.some((celsius, n) => n > 0 && celsius > figures[n - 1]!)
      }),
    ).toEqual([])
    const ears = all.filter(({ title }) => title.startsWith('sw-hand little-ears'))
    const [hand, mixer, processor] = ears.map(({ plan }) => plan.waterC!)
    expect(hand! - mixer!).toBeGreaterThan(4)
    expect(mixer! - processor!).toBeGreaterThan(4)
    for (const { plan } of ears) expect(waterNowC(plan, { workedBy: 'processor' })).toBe(processor)
  })

  it('a blade takes all of the first pour in one go; a heat that was typed stays as it was typed', () => {
    const { plan } = all.find(({ title }) => title === 'sw-hand little-ears processor')!
    const step = plan.steps.find((each): each is StepOf<'pour'> => each.kind === 'pour')!
    expect(pourGo(plan, initialState, step).of).toBe(1)
    expect(pourGo(plan, { ...initialState, workedBy: 'hand' }, step).of).toBe(2)
    const dough = doughs.find(({ id }) => id === 'sw-hand')!
    const typed = by({ ...startSheet(dough, shapesFor(dough, shapes)[0]!, withMachines), waterC: 40 }, 'processor')
    expect(work(typed, withMachines).practice.waterC).toBe(40)
  })
})

it('raw egg goes with what is poured, but never into alkali: over all doughs, shapes and row changes', () => {
  const wrong = pairs.flatMap(({ dough, shape }) =>
    Object.entries(rowChanges).flatMap(([change, apply]) => {
      const start = work(apply(startSheet(dough, shape, withMachines)), withMachines)
      const withEgg = addRow(start, 'egg-yolk', 5, withMachines)
      if (!withEgg.ok) return []
      const plan = planned(withEgg.value, withMachines)
      const isYolk = (key: string) => plan.rows.find((row) => row.key === key)?.ingredient === 'egg-yolk'
      const alkali = plan.rows.some(({ part, weighedG }) => part === 'alkali' && weighedG > 0)
      const inJug = jugOf(plan, initialState).others.some(({ key }) => isYolk(key))
      const yolks = plan.rows.filter(({ key }) => isYolk(key)).length
      const called = [...weighedFirst(plan), ...weighedWithWater(plan)].filter(({ key }) => isYolk(key))
      const apart = weighedFirst(plan).some(({ key }) => isYolk(key))
      return called.length === yolks && !(alkali && inJug) && (!alkali || apart)
        ? []
        : [`${dough.id} ${shape.id} ${change}`]
    }),
  )
  expect(wrong).toEqual([])
})

describe('without a scale', () => {
  const noScale: Kitchen = { ...withMachines, gear: { ...withMachines.gear, hasScale: false } }
  const all = pairs.map(({ dough, shape }) => {
    const sheet = startSheet(dough, shape, noScale)
    return { title: `${dough.id} ${shape.id}`, plan: planned(sheet, noScale), weighed: planned(sheet, withMachines) }
  })

  it('every row can be measured, and more of the water waits for the feel than beside a scale, nowhere less', () => {
    expect(
      all.filter(({ plan }) => !plan.noScale || plan.rows.some(({ filled }) => !filled)).map(({ title }) => title),
    ).toEqual([])
    expect(
      all.filter(({ plan, weighed }) => plan.water.holdBackG < weighed.water.holdBackG).map(({ title }) => title),
    ).toEqual([])
    const ears = all.find(({ title }) => title === 'sw-hand little-ears')!
    expect(ears.plan.water.holdBackG).toBeGreaterThan(ears.weighed.water.holdBackG + 5)
  })

  it('at hand are cups, and for alkali a fine scale all the same', () => {
    const items = (plan: Plan) =>
      plan.steps.flatMap((step) => (step.kind === 'ready' ? step.items.map(({ id }) => id) : []))
    for (const { plan } of all) {
      expect(items(plan)).toContain('cups')
      expect(items(plan)).not.toContain('scale')
      const alkali = plan.rows.some(({ part, weighedG }) => part === 'alkali' && weighedG > 0)
      expect(items(plan).includes('fine-scale')).toBe(alkali)
    }
  })

  it('teaches with the band of its cups, whatever was typed', () => {
    const { plan } = all.find(({ title }) => title === 'sw-hand little-ears')!
    const events = [
      ...plan.rows.flatMap(({ key, part, weighedG }, n) =>
        part === 'water' ? [] : [event({ type: 'weighed', row: key, grams: weighedG }, n + 50)],
      ),
      event({ type: 'poured', grams: plan.water.startG }, 1),
      event({ type: 'felt', feel: 'right' }, 2),
      event({ type: 'judged', verdict: 'good' }, 3),
      event({ type: 'closed' }, 4),
    ]
    expect(summarise({ id: 'b', plan, events }).offSd).toBeGreaterThan(1)
    const { noScale: _, ...weighed } = plan
    expect(summarise({ id: 'b', plan: weighed, events }).offSd).toBeUndefined()
  })
})
