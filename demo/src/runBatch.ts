/** A batch as two people would have run it: the core's own plan and suggestions, a hidden thirst, and hands that vary. */
import {
  bowlBasis14,
  computeSheet,
  currentStep,
  planBatch,
  replay,
  suggest,
  type Batch,
  type BenchAction,
  type BenchEvent,
  type Feel,
  type Kitchen,
  type Plan,
  type Sheet,
  type Verdict,
} from '@harina/core'
import type { Random } from './random.ts'

export interface BatchStory {
  readonly id: string
  readonly formula: string
  readonly sheet: Sheet
  readonly kitchen: Kitchen
  readonly startMs: number
  /** What this flour really wants, points above paper on the 14 % basis. */
  readonly thirst: number
  /** `chased`: judged too soon, so water and flour ran after each other. */
  readonly temper: 'patient' | 'chased'
  readonly verdict: Verdict
  readonly note: string
  /** Leaves the batch in its rest, begun this many minutes before `nowMs`. */
  readonly restingSinceMin?: number
}

const MINUTE_MS = 60_000
const iso = (ms: number) => new Date(ms).toISOString().replace(/\.\d+Z$/, '+00:00')

/** Keeps the time and stamps every action with it. */
class Bench {
  readonly events: BenchEvent[] = []
  private taps = 0
  constructor(
    private readonly id: string,
    readonly plan: Plan,
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
    this.tap(...actions, { type: 'step-done', step })
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
    bench.tap({ type: 'poured', grams: Math.round(bench.plan.water.holdBackG + 6) })
    bench.wait(4)
  } else bench.wait(bench.plan.minutes.drink + 1)
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

function timed(bench: Bench, timer: 'knead' | 'rest' | 'cook', minutes: number) {
  bench.tap({ type: 'timer-started', timer, minutes })
  bench.wait(minutes, 0)
  bench.wait(0.4)
  bench.tap({ type: 'timer-answered', timer })
}

export function runBatch(story: BatchStory, random: Random): Batch {
  const worked = computeSheet(story.sheet, story.kitchen)
  if (!worked.ok) throw new Error(`demo: ${story.sheet.name}: ${worked.problem.code}`)
  const plan = planBatch(worked.value, story.kitchen, iso(story.startMs), story.formula)
  const bench = new Bench(story.id, plan, story.startMs, random)
  const wanted14 = plan.hydration.paper14 + story.thirst

  bench.wait(2)
  bench.done(
    ...plan.rows
      .filter((row) => row.part === 'flour')
      .map((row): BenchAction => ({ type: 'weighed', row: row.key, grams: row.weighedG + random.whole(-1, 1) })),
  )
  bench.wait(2)
  bench.done(
    ...plan.rows
      .filter((row) => row.part === 'salt' || row.part === 'other')
      .map((row): BenchAction => ({ type: 'weighed', row: row.key, grams: row.weighedG })),
  )
  bench.wait(2)
  bench.done({ type: 'poured', grams: plan.water.startG + random.whole(-1, 2) })
  correctUntilRight(bench, wanted14, story, random)
  bench.done()

  const kneadMin = Math.round((plan.minutes.knead[0] + plan.minutes.knead[1]) / 2)
  if (story.restingSinceMin !== undefined) return resting(story, bench, kneadMin, plan)
  timed(bench, 'knead', kneadMin)
  bench.done()
  timed(bench, 'rest', plan.minutes.rest.best)
  bench.done()
  bench.wait(5)
  bench.done()
  const pieces = Math.max(1, plan.shape.pieces - random.whole(0, Math.ceil(plan.shape.pieces * 0.02)))
  bench.wait(Math.min(70, pieces / random.between(14, 22)))
  bench.done({ type: 'shaped', pieces })
  bench.wait(25)
  const cookMin = Math.round(random.between(...plan.minutes.cook))
  timed(bench, 'cook', cookMin)
  bench.done({ type: 'cooked', minutes: cookMin })
  bench.wait(20)
  bench.tap(
    { type: 'judged', verdict: story.verdict },
    { type: 'noted', text: story.note },
    { type: 'step-done', step: 'verdict' },
    { type: 'closed' },
  )
  return { id: story.id, plan, events: bench.events }
}

/** Shifts a batch that is still in its rest so that the rest began when the story says. */
function resting(story: BatchStory, bench: Bench, kneadMin: number, plan: Plan): Batch {
  timed(bench, 'knead', kneadMin)
  bench.done()
  bench.tap({ type: 'timer-started', timer: 'rest', minutes: plan.minutes.rest.best })
  const shiftMs = story.startMs - (story.restingSinceMin ?? 0) * MINUTE_MS - bench.nowMs
  const moved = (at: string) => iso(Date.parse(at) + shiftMs)
  return {
    id: story.id,
    plan: { ...plan, at: moved(plan.at) },
    events: bench.events.map((event) => ({ ...event, at: moved(event.at) })),
  }
}
