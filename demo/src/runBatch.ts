/** A batch as two people would have run it: the core's own plan and suggestions, a hidden thirst, and hands that vary. */
import {
  countedOf,
  benchPieces,
  bowlBasis14,
  doughMoisture,
  computeSheet,
  currentStep,
  firstG,
  heldBack,
  mainRest,
  planBatch,
  replay,
  suggest,
  type Batch,
  type BenchAction,
  type BenchEvent,
  type Feel,
  type Kitchen,
  type Plan,
  type PlannedStep,
  type Sheet,
  type StepOf,
  type Verdict,
} from '@harina/core'
import { dryingBodyOf } from '@harina/core/rack'
import { iso } from './iso.ts'
import type { Random } from './random.ts'
import { trayEvents, type TrayStory } from './trays.ts'

export interface BatchStory {
  readonly id: string
  readonly formula: string
  readonly sheet: Sheet
  readonly kitchen: Kitchen
  readonly startMs: number
  /** What this flour really wants, points above what the formula asks on the 14 % basis. */
  readonly thirst: number
  /** `chased`: judged too soon, so water and flour ran after each other. */
  readonly temper: 'patient' | 'chased'
  readonly verdict: Verdict
  readonly note: string
  /** Leaves the batch in its rest, begun this many minutes before `nowMs`. */
  readonly restingSinceMin?: number
  /** Leaves it on the rack, on these trays. */
  readonly rack?: readonly TrayStory[]
}

const MINUTE_MS = 60_000

/** Keeps the time and stamps every action with it. */
class Bench {
  readonly events: BenchEvent[] = []
  private taps = 0
  constructor(
    private readonly id: string,
    readonly plan: Plan,
    /** What the formula asks for, 14 % basis. */
    readonly asked14: number,
    private ms: number,
    private readonly random: Random,
  ) {}

  get nowMs() {
    return this.ms
  }
  get state() {
    return replay(this.plan, this.events)
  }
  wait(minutes: number, spread = 0.2) {
    this.ms += Math.round(minutes * (1 + this.random.between(-spread, spread)) * 60) * 1000
  }
  tap(...actions: BenchAction[]) {
    this.taps += 1
    this.ms += 1000
    actions.forEach((action, index) =>
      this.events.push({ ...action, id: `${this.id}-${this.taps}-${index}`, at: iso(this.ms) } as BenchEvent),
    )
  }
  done(...actions: BenchAction[]) {
    const step = currentStep(this.plan, this.state)
    if (step === null) throw new Error('demo: no step to finish')
    this.tap(...actions, { type: 'step-done', step: step.id })
  }
}

function feelOf(gapPoints: number): Feel {
  if (gapPoints < -2.4) return 'crumbling'
  if (gapPoints < -0.75) return 'dry'
  if (gapPoints < 0.75) return 'right'
  return gapPoints < 1.6 ? 'tacky' : 'sticky'
}

function correctUntilRight(bench: Bench, wanted14: number, story: BatchStory, random: Random) {
  const rash = story.temper === 'chased'
  if (rash) {
    bench.tap({ type: 'felt', feel: 'crumbling' })
    bench.tap({ type: 'poured', grams: Math.round(bench.plan.water.holdBackG + 45) })
    bench.wait(4)
  } else bench.wait(bench.plan.minutes.drink + 1)
  // Flour held back from a base goes in first, as it asks for it.
  const held = heldBack(bench.plan, bench.state)
  if (held?.what === 'flour' && held.leftG > 0)
    bench.tap({ type: 'added-flour', grams: Number(held.leftG.toFixed(1)), saltG: 0 })
  for (let round = 0; round < 8; round += 1) {
    const gap = bowlBasis14(bench.plan, bench.state) - wanted14
    const feel = round === 7 ? 'right' : feelOf(gap)
    bench.tap({ type: 'felt', feel })
    if (feel === 'right') return
    const { step } = suggest(bench.plan, bench.state, feel, bench.nowMs)
    if (!step) return
    bench.wait(1)
    bench.tap(
      step.what === 'water'
        ? { type: 'poured', grams: step.grams }
        : { type: 'added-flour', grams: step.grams, saltG: Number(step.saltG.toFixed(2)) },
    )
    bench.wait(rash ? 3 : random.between(5, 9))
  }
}

/** What has been poured once this step is done, g. */
const untilG = (plan: Plan, { goes }: StepOf<'pour'>) =>
  plan.water.startG *
  Math.min(
    1,
    goes.reduce((sum, go) => sum + go, 0),
  )

const middle = ([low, high]: readonly [number, number]) => Math.round((low + high) / 2)

function timed(bench: Bench, timer: string, minutes: number) {
  bench.tap({ type: 'timer-started', timer, minutes })
  bench.wait(minutes, 0)
  bench.wait(0.4)
  bench.tap({ type: 'timer-answered', timer })
}

const weighedRows = ({ rows }: Plan, parts: readonly string[], stray: () => number): BenchAction[] =>
  rows
    .filter((row) => parts.includes(row.part))
    .map((row) => ({ type: 'weighed', row: row.key, grams: Math.max(0, firstG(row) + stray()) }))

/** One step as the two of the bench do it, to its end. */
function work(bench: Bench, step: PlannedStep, story: BatchStory, random: Random): void {
  const { plan } = bench
  const run = (minutes: number) => {
    timed(bench, step.id, minutes)
    bench.done()
  }
  switch (step.kind) {
    case 'flour':
      bench.wait(2)
      // All flours are weighed out together, whenever they go in.
      return step.id === 'flour'
        ? bench.done(...weighedRows(plan, ['flour', 'base'], () => random.whole(-1, 1)))
        : bench.done()
    case 'water':
      bench.wait(2)
      return bench.done(...weighedRows(plan, ['salt', 'alkali', 'other'], () => 0))
    case 'pour':
      bench.wait(2)
      return bench.done({
        type: 'poured',
        grams: Math.max(1, untilG(plan, step) - bench.state.pouredG + random.whole(-1, 2)),
      })
    case 'feel':
      // A dough that is felt again after it was called right has been worked since.
      if (bench.state.feels.at(-1)?.feel !== 'right')
        correctUntilRight(bench, bench.asked14 + story.thirst, story, random)
      return bench.done()
    case 'prepare':
    case 'airSheet':
    case 'drink':
      return run(middle(step.minutes))
    case 'thaw':
      return run(60 * step.hours)
    case 'cool':
    case 'temper':
      return run(step.minutes)
    case 'knead':
      return run(middle(step.hand))
    case 'rest':
      return run(step.best)
    case 'air':
      bench.wait(Math.max(step.minutes[0], 12))
      return bench.done({ type: 'finish-chosen', finish: story.rack ? 'dry' : 'cook' })
    case 'shape': {
      const made = countedOf(plan, bench.state).count
      const pieces = Math.max(1, made - random.whole(0, Math.ceil(made * 0.02)))
      const samples = Array.from({ length: 5 }, (): BenchAction => ({
        type: 'sampled',
        grams: Number((plan.shape.pieceG * random.between(0.91, 1.1)).toFixed(2)),
      }))
      for (const sample of samples) {
        bench.wait(Math.min(14, pieces / random.between(70, 110)))
        bench.tap(sample)
      }
      return bench.done({ type: 'shaped', pieces })
    }
    case 'drop':
    case 'cook': {
      const minutes = Math.max(1, Math.round(random.between(...plan.minutes.cook)))
      timed(bench, step.id, minutes)
      return bench.done({ type: 'cooked', minutes })
    }
    case 'verdict':
      bench.wait(20)
      return bench.tap(
        { type: 'judged', verdict: story.verdict },
        { type: 'noted', text: story.note },
        { type: 'step-done', step: step.id },
        { type: 'closed' },
      )
    default:
      bench.wait(4)
      return bench.done()
  }
}

export function runBatch(story: BatchStory, random: Random): Batch {
  const worked = computeSheet(story.sheet, story.kitchen)
  if (!worked.ok) throw new Error(`demo: ${story.sheet.name}: ${worked.problem.code}`)
  const plan = planBatch(worked.value, story.kitchen, iso(story.startMs), story.formula)
  const bench = new Bench(story.id, plan, worked.value.asked14, story.startMs, random)
  const stopsAt = story.restingSinceMin === undefined ? null : mainRest(plan)
  for (let step = currentStep(plan, bench.state); step; step = currentStep(plan, bench.state)) {
    if (step.id === stopsAt?.id) return resting(story, bench, stopsAt.id, stopsAt.best)
    if (step.kind === 'dry')
      return { id: story.id, plan, events: [...bench.events, ...onTheRack(story, bench, random)] }
    work(bench, step, story, random)
  }
  return { id: story.id, plan, events: bench.events }
}

/** Shifts a batch that is still in its rest so that the rest began when the story says. */
function resting(story: BatchStory, bench: Bench, timer: string, minutes: number): Batch {
  bench.tap({ type: 'timer-started', timer, minutes })
  const shiftMs = story.startMs - (story.restingSinceMin ?? 0) * MINUTE_MS - bench.nowMs
  const moved = (at: string) => iso(Date.parse(at) + shiftMs)
  return {
    id: story.id,
    plan: { ...bench.plan, at: moved(bench.plan.at) },
    events: bench.events.map((event) => ({ ...event, at: moved(event.at) })),
  }
}

/** All its trays, laid one after the other; what happens to each is its own story. */
function onTheRack({ rack = [], kitchen, id }: BatchStory, bench: Bench, random: Random): readonly BenchEvent[] {
  const { plan, state } = bench
  const shape = kitchen.shapes.get(plan.shape.id)
  if (!shape) throw new Error(`demo: no shape ${plan.shape.id}`)
  const grams = Math.floor(benchPieces(plan, state).usableG / rack.length)
  const body = dryingBodyOf({ ...shape, blank: plan.shape.blank })
  const moisture = doughMoisture(plan, state)
  return rack
    .flatMap((story, n) =>
      trayEvents({ id, number: n + 1, grams, body, moisture, laidMs: bench.nowMs + n * MINUTE_MS, story }, random),
    )
    .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
}
