/** What the steps work with: goes, lumps, sheets, presses, fillings and potfuls add up to the dough that is there. */
import {
  AFTER_POT,
  applyEvent,
  catchUp,
  currentStep,
  afterPotOf,
  benchPieces,
  cookNow,
  countedOf,
  endsEmpty,
  madeG,
  stepsOf,
  RIM_DRIES_MIN,
  rimsDryMeanwhile,
  fillingAtBench,
  lumpIsEven,
  lumps,
  planBatch,
  potTurns,
  pourGo,
  pressAtBench,
  replay,
  rolledSheetAtBench,
  shapesFor,
  startSheet,
  USUAL_POT_L,
  waterTargets,
  type BenchAction,
  type BenchEvent,
  type Plan,
  type PlannedStep,
} from '@harina/core'
import fc from 'fast-check'
import { doughs, shapes } from './index.ts'
import { withMachines } from './testing/withMachines.ts'
import { work } from './testing/wholeKitchen.ts'

const AT = '2031-03-01T09:00:00Z'
const pairs = doughs.flatMap((dough) => shapesFor(dough, shapes).map((shape) => ({ dough, shape })))
const planOf = (dough: string, shape: string): Plan => {
  const pair = pairs.find((each) => each.dough.id === dough && each.shape.id === shape)!
  return planBatch(work(startSheet(pair.dough, pair.shape, withMachines), withMachines), withMachines, AT, null)
}
const poured = (plan: Plan, grams: number) =>
  replay(plan, [{ id: 'e1', at: AT, type: 'poured', grams } satisfies BenchEvent])
const full = (plan: Plan) => poured(plan, waterTargets(plan, { weighedG: {} }).totalG)
const stepOf = <K extends PlannedStep['kind']>(plan: Plan, kind: K) =>
  plan.steps.find((step) => step.kind === kind) as Extract<PlannedStep, { kind: K }>

it('goes follow one another, and what is left of each brings the bowl to the first pour', () => {
  const plan = planOf('sw-hand', 'little-ears')
  const step = stepOf(plan, 'pour')
  const { startG } = waterTargets(plan, { weighedG: {} })
  fc.assert(
    fc.property(fc.integer({ min: 0, max: Math.ceil(startG * 1.3) }), (grams) => {
      const { go, of, leftG } = pourGo(plan, poured(plan, grams), step)
      expect(go >= 1 && go <= of && leftG >= 0).toBe(true)
      if (go === of) expect(Math.abs(Math.max(grams, startG) - grams - leftG)).toBeLessThanOrEqual(plan.scaleStepG / 2)
      else expect(grams + leftG).toBeLessThan(startG)
    }),
  )
  let state = poured(plan, 0)
  for (let total = 0, go = 1; go <= 2; go += 1) {
    expect(pourGo(plan, state, step).go).toBe(go)
    total += pourGo(plan, state, step).leftG
    state = poured(plan, total)
  }
  expect(Math.abs(state.pouredG - startG)).toBeLessThanOrEqual(1)
})

it('lumps of every dough as every shape are the usable dough, and a lump of its own mass is even', () => {
  for (const { dough, shape } of pairs) {
    const plan = planOf(dough.id, shape.id)
    const state = full(plan)
    const found = lumps(plan, state)
    expect(found.count * found.eachG).toBeCloseTo(benchPieces(plan, state).usableG, 6)
    expect(lumpIsEven(found, found.eachG)).toBe(true)
    expect(lumpIsEven(found, found.eachG + 2 * found.slackG)).toBe(false)
  }
})

it('pieces are one number from the divided dough to the last sheet, as reckoned and as set', () => {
  for (const { dough, shape } of pairs.filter((pair) => pair.shape.sheeted)) {
    const plan = planOf(dough.id, shape.id)
    if (!plan.steps.some(({ kind }) => kind === 'thin')) continue
    const whole = full(plan)
    for (const dividedInto of [null, 3, 17]) {
      const state = { ...whole, dividedInto }
      const { sheet, madeMm, widthMm } = rolledSheetAtBench(plan, state)!
      const { count, eachG } = lumps(plan, state)
      expect([dough.id, shape.id, count]).toEqual([dough.id, shape.id, sheet.sheets])
      expect(count).toBe(dividedInto ?? count)
      // A lump makes its sheet: the same mass at this thickness and width.
      const sheetG = (plan.densityGPerCm3 * madeMm * widthMm * (sheet.lengthMm / count)) / 1000
      expect(eachG).toBeCloseTo(sheetG, 6)
    }
  }
})

it('a rope divides into board lengths, a wrapper into pieces, pulled noodles into what is pulled', () => {
  const countOf = (dough: string, shape: string) => {
    const plan = planOf(dough, shape)
    return { count: lumps(plan, full(plan)).count, made: benchPieces(plan, full(plan)) }
  }
  const ears = countOf('sw-hand', 'little-ears')
  expect(ears.count).toBe(ears.made.rope!.ropes)
  const skins = countOf('wrapper-hot', 'pan-wrapper')
  expect(skins.count).toBe(skins.made.pieces)
  const pulled = countOf('pulled-soft', 'fold-pulled')
  expect(pulled.count).toBe(pulled.made.pieces)
})

it('the sheet at the bench is the dough that was poured: more of it is a longer sheet', () => {
  const plan = planOf('alk-low', 'alk-medium-wavy')
  const at = (grams: number) => rolledSheetAtBench(plan, poured(plan, grams))!.sheet.lengthMm
  const { totalG } = waterTargets(plan, { weighedG: {} })
  expect(at(totalG * 1.2)).toBeGreaterThan(at(totalG))
  expect(rolledSheetAtBench(planOf('sw-hand', 'little-ears'), full(plan))).toBeNull()
  const passes = rolledSheetAtBench(plan, full(plan))!.passes
  if (!passes.ok) throw new Error(passes.problem.code)
  passes.value.slice(1).forEach((pass, n) => expect(pass.gapMm).toBeLessThan(passes.value[n]!.gapMm))
})

it('the press runs as long as the crumb lasts, and says when it is too dry for it', () => {
  const plan = planOf('sw-crumb', 'ridged-tubes')
  const step = stepOf(plan, 'press')
  const run = pressAtBench(plan, full(plan), step)!
  expect(run.runMin * run.massFlowGPerMin).toBeCloseTo(benchPieces(plan, full(plan)).usableG, 3)
  expect(pressAtBench(plan, poured(plan, 10), step)!.takes!.judged.outsideBy).toBeLessThan(0)
  expect(pressAtBench(plan, full(plan), { ...step, press: null })).toBeNull()
})

it('filling for the pieces that were made, not for those that were planned', () => {
  const plan = planOf('wrapper-hot', 'pan-wrapper')
  const step = stepOf(plan, 'fill')
  const state = { ...full(plan), shapedPieces: 40 }
  expect(fillingAtBench(plan, state, step, 1.5).fillingG).toBeCloseTo(40 * step.gramsEach, 6)
})

it('potfuls share the batter evenly, none over what the pot bears', () => {
  const plan = planOf('batter-board', 'board-scraped')
  const { turns, eachG } = potTurns(benchPieces(plan, full(plan)).usableG, plan.pot, USUAL_POT_L)
  expect(turns * eachG).toBeCloseTo(benchPieces(plan, full(plan)).usableG, 6)
  expect(eachG).toBeLessThanOrEqual(600 + 1e-6)
})

it('what takes longer to shape than a rim stays soft is told, and only that', () => {
  expect(rimsDryMeanwhile(12 * RIM_DRIES_MIN, 12)).toBeNull()
  expect(rimsDryMeanwhile(12 * RIM_DRIES_MIN + 1, 12)).toBe(RIM_DRIES_MIN + 1)
  const plan = planOf('sw-hand', 'little-ears')
  const { perMin } = stepOf(plan, 'shape')
  const minutes = rimsDryMeanwhile(benchPieces(plan, full(plan)).pieces, perMin)
  expect(minutes === null || minutes > RIM_DRIES_MIN).toBe(true)
})

it('sheet, cut, gauge and pot know one thickness: as planned, through another roller, a setting further, or read by hand', () => {
  const sheeted = pairs.filter(({ shape }) => shape.sheeted)
  const faults = sheeted.flatMap(({ dough, shape }) => {
    const plan = planOf(dough.id, shape.id)
    if (!plan.steps.some(({ kind }) => kind === 'thin')) return []
    const whole = full(plan)
    const { further } = rolledSheetAtBench(plan, whole)!
    const as = {
      planned: whole,
      'by pin': { ...whole, rolledBy: { roller: null } },
      read: { ...whole, thinnedMm: 0.7 },
    }
    const ways = further ? { ...as, further: { ...whole, thinnedMm: further.outMm } } : as
    return Object.entries(ways).flatMap(([way, state]) => {
      const { blank, sheet, pieceG, pieces } = benchPieces(plan, state)
      const mm = 'thicknessMm' in blank ? blank.thicknessMm : 0
      const before = benchPieces(plan, whole)
      const [low] = cookNow(plan, state)
      const [lowBefore] = plan.minutes.cook
      const isBaked = plan.steps.some((step) => step.kind === 'cook' && step.how === 'bake')
      const isFilled = plan.steps.some(({ kind }) => kind === 'fill')
      const thinner = mm < (before.sheet?.madeMm ?? 0) * 0.95
      const fault = (wrong: boolean, what: string) => (wrong ? [`${dough.id} as ${shape.id}, ${way}: ${what}`] : [])
      return [
        ...fault(mm !== sheet?.madeMm || mm !== rolledSheetAtBench(plan, state)!.madeMm, 'two thicknesses'),
        ...fault(thinner && pieceG >= before.pieceG, 'a thinner piece weighs as much'),
        ...fault(thinner && pieces < before.pieces, 'thinner, it makes fewer'),
        ...fault(thinner && !isBaked && !isFilled && low >= lowBefore, 'thinner, it cooks as long'),
        ...fault((isBaked || isFilled) && low < lowBefore - 1e-9, 'a filled or baked piece cooks shorter for its skin'),
      ]
    })
  })
  expect(faults).toEqual([])
})

it('long strands are counted by the plate, all else by the piece; either way it is the dough that is there', () => {
  for (const { dough, shape } of pairs) {
    const plan = planOf(dough.id, shape.id)
    const state = full(plan)
    const { usableG, pieces } = benchPieces(plan, state)
    const { unit, count, eachG } = countedOf(plan, state)
    expect([shape.id, unit]).toEqual([shape.id, shape.paceOf === 'strands' ? 'portion' : 'piece'])
    if (unit === 'piece') expect(count).toBe(pieces)
    else expect(count * eachG).toBeCloseTo(usableG, 6)
    // As it was counted stands.
    expect(countedOf(plan, { ...state, shapedPieces: 7 }).count).toBe(7)
  }
})

it('skins put away empty are counted without their scrap, thaw wrapped, and are filled before they are cooked', () => {
  for (const { dough, shape } of pairs.filter((pair) => pair.shape.fillingG !== undefined)) {
    const plan = planOf(dough.id, shape.id)
    const steps = (finish: 'hold' | 'freeze') =>
      stepsOf(plan, { ...full(plan), skins: finish }).map(({ kind, ...step }) =>
        'of' in step ? `${kind} ${step.of}` : kind,
      )
    const frozen = steps('freeze').filter((kind) => /skins|fill|cook/.test(kind))
    expect([shape.id, frozen]).toEqual([shape.id, ['freeze skins', 'thaw skins', 'fill', 'cook']])
    expect(steps('hold').filter((kind) => /skins|fill|cook/.test(kind))).toEqual(['hold skins', 'fill', 'cook'])
    const state = full(plan)
    const { count, eachG } = countedOf(plan, state)
    const { usableG, sheet } = benchPieces(plan, state)
    if (sheet?.stamped) expect(madeG(plan, state)).toBeCloseTo(count * eachG, 6)
    expect(madeG(plan, state)).toBeLessThanOrEqual(usableG + 1e-9)
    // Half of them go their own way: together they weigh what all did.
    const half = replay(plan, [
      { id: 'e1', at: AT, type: 'poured', grams: waterTargets(plan, { weighedG: {} }).totalG },
      { id: 'e2', at: AT, type: 'shaped', pieces: count - (count % 2) },
      { id: 'e3', at: AT, type: 'split', keeps: 0.5, other: 'b', part: 'kept' },
    ])
    expect(countedOf(plan, half).count).toBe((count - (count % 2)) / 2)
  }
})

it('a batch of skins alone never goes from the freezer to the pot', () => {
  const { dough, shape } = pairs.find((pair) => pair.shape.fillingG !== undefined && pair.shape.sheeted)!
  const sheet = { ...startSheet(dough, shape, withMachines), unfilled: true }
  const plan = planBatch(work(sheet, withMachines), withMachines, AT, null)
  const kinds = (finish: 'hold' | 'freeze') =>
    stepsOf(plan, { ...full(plan), finish })
      .slice(-3)
      .map(({ kind }) => kind)
  expect(endsEmpty(plan.steps)).toBe(true)
  expect(kinds('freeze')).toEqual(['freeze', 'thaw', 'verdict'])
  expect(kinds('hold')).toEqual(['air', 'hold', 'verdict'])
})

it('after the pot it is as it is wanted today, whatever was planned: the step stands once, after the pot, or not at all', () => {
  for (const { dough, shape } of pairs) {
    const plan = planOf(dough.id, shape.id)
    if (!plan.steps.some(({ kind }) => kind === 'cook' || kind === 'drop')) continue
    for (const afterPot of AFTER_POT) {
      const steps = stepsOf(plan, { ...full(plan), afterPot })
      const at = steps.findIndex(({ kind }) => kind === 'cook' || kind === 'drop')
      expect(afterPotOf(steps)).toBe(afterPot)
      expect(steps.filter(({ kind }) => kind === 'rinse')).toHaveLength(afterPot === 'plain' ? 0 : 1)
      expect(steps[at + 1]!.kind).toBe(afterPot === 'plain' ? 'verdict' : 'rinse')
    }
    expect(stepsOf(plan, full(plan))).toEqual(plan.steps)
  }
})

it('told of together, steps record what their own presses would have, up to the next that asks something', () => {
  for (const { dough, shape } of pairs) {
    const plan = planOf(dough.id, shape.id)
    const feel = plan.steps.find(({ kind }) => kind === 'feel')!
    const stamp = (actions: readonly BenchAction[]) =>
      actions.map((action, n) => ({ ...action, id: `c${n}`, at: AT }) as BenchEvent)
    const toFeel = catchUp(plan, replay(plan, []), feel.id, AT)!
    const felt = replay(plan, stamp(toFeel))
    expect(currentStep(plan, felt)?.id).toBe(feel.id)
    const { startG } = waterTargets(plan, felt)
    expect(Math.abs(felt.pouredG - startG)).toBeLessThanOrEqual(1)
    // All but the water is on the scale once, and as planned.
    const weighed = plan.rows.filter(({ part, weighedG }) => part !== 'water' && weighedG > 0)
    expect(Object.keys(felt.weighedG).sort()).toEqual(weighed.map(({ key }) => key).sort())
    // One at a time comes to the same.
    let state = replay(plan, [])
    for (let n = 0; currentStep(plan, state)!.id !== feel.id; n += 1) {
      const steps = stepsOf(plan, state)
      const next = steps[steps.findIndex(({ id }) => id === currentStep(plan, state)!.id) + 1]!
      const one = catchUp(plan, state, next.id, AT)!
      state = one.reduce(
        (all, action) => applyEvent(plan, all, { ...action, id: `o${n}`, at: AT } as BenchEvent),
        state,
      )
    }
    expect(state).toEqual(felt)
    // How it feels, and where it goes, is never made up.
    const verdict = plan.steps.at(-1)!
    expect(catchUp(plan, felt, verdict.id, AT)).toBeNull()
    expect(catchUp(plan, felt, plan.steps[0]!.id, AT)).toBeNull()
  }
})

it('parts that are still to be weighed off are never passed over', () => {
  const { dough, shape } = pairs.find((pair) => pair.dough.id === 'sw-hand' && pair.shape.id === 'little-ears')!
  const other = pairs.find((pair) => pair.dough.id === 'sw-hand' && pair.shape.id !== 'little-ears')!.shape
  const started = startSheet(dough, shape, withMachines)
  const sheet = { ...started, alsoShapes: [{ shape: other.id, by: 'share' as const, percent: 40 }] }
  const plan = planBatch(work(sheet, withMachines), withMachines, AT, null)
  const to = (id: string, from: readonly BenchAction[]) =>
    catchUp(
      plan,
      replay(
        plan,
        from.map((action, n) => ({ ...action, id: `p${n}`, at: AT }) as BenchEvent),
      ),
      id,
      AT,
    )
  const toFeel = to('feel', [])!
  const felt: BenchAction[] = [...toFeel, { type: 'felt', feel: 'right' }]
  expect(to('divide', felt)).not.toBeNull()
  expect(to('air', felt)).toBeNull()
})
