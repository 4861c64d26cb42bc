/**
 * Every dough as every shape, with each change of its rows, each school's rest, at benches cool and hot: whoever takes all the time
 * that is offered, rest by rest, night in the fridge, airing and keeping, never comes over the strictest limit of what is in it.
 */
import {
  computeSheet,
  currentStep,
  doughLimits,
  keepsOf,
  leftAt,
  offeredAir,
  offeredBack,
  offeredNightH,
  offeredRest,
  piecesLeftAt,
  planBatch,
  replay,
  shapesFor,
  startSheet,
  stepMinutes,
  type BenchAction,
  type BenchEvent,
  type Dough,
  type Plan,
  type Shape,
} from '@harina/core'
import { doughs, schools, shapes } from './index.ts'
import { rowChanges } from './testing/rowChanges.ts'
import { benchAt } from './testing/wholeKitchen.ts'
import { withMachines } from './testing/withMachines.ts'

const AT = '2031-03-01T07:00:00Z'
const MINUTE_MS = 60_000
const HOUR_MIN = 60

/** One who takes whatever is offered; `night`: and puts the dough away before it is kneaded. */
class Maker {
  readonly events: BenchEvent[] = []
  nowMs = Date.parse(AT)
  readonly over: string[] = []
  private warmMin = 0
  private coldH = 0

  constructor(
    readonly plan: Plan,
    readonly night: boolean,
  ) {}

  do(...actions: readonly BenchAction[]): void {
    const at = new Date(this.nowMs).toISOString()
    for (const action of actions) this.events.push({ ...action, id: `e${this.events.length}`, at } as BenchEvent)
  }

  /** From mixing on, counted here and not by what is tried. */
  private lies(minutes: number, cold = false): void {
    this.nowMs += minutes * MINUTE_MS
    const { pouredG, flourInAt } = replay(this.plan, this.events)
    if (pouredG <= 0 && (this.plan.water.startG > 0 || flourInAt === null)) return
    if (cold) this.coldH += minutes / HOUR_MIN
    else this.warmMin += minutes
  }

  private isOver(): boolean {
    const { warmMin, coldH } = doughLimits(this.plan)
    const { roomC } = this.plan
    const share = roomC > 32 ? 0.5 : roomC > 27 ? 0.75 : 1
    return this.warmMin > warmMin * share + 1e-6 || this.coldH > coldH + 1e-6
  }

  /** So long as was offered; what was within its limits before is within them after. */
  takes(what: string, minutes: number, cold = false): void {
    const wasOver = this.isOver()
    this.lies(minutes, cold)
    if (wasOver ? minutes > 0 : this.isOver()) this.over.push(`${what} for ${minutes} min`)
  }

  step(nightH: number): boolean {
    const { plan, events } = this
    const state = replay(plan, events)
    const step = currentStep(plan, state)
    if (!step || step.kind === 'cook' || step.kind === 'drop') return false
    const left = leftAt(plan, events, this.nowMs)
    const done: BenchAction = { type: 'step-done', step: step.id }
    switch (step.kind) {
      case 'pour':
        this.do({ type: 'poured', grams: plan.water.startG }, done)
        break
      case 'rest': {
        const { high } = offeredRest(step, step.of === 'pieces' ? piecesLeftAt(plan, events, this.nowMs) : left)
        if (high > 0) this.do({ type: 'timer-started', timer: step.id, minutes: high })
        this.takes(step.cold ? 'cold rest' : 'rest', high, step.cold)
        this.do(done)
        break
      }
      case 'temper': {
        const minutes = offeredBack(step, left)
        if (minutes > 0) this.do({ type: 'timer-started', timer: step.id, minutes })
        this.takes('back from the fridge', minutes)
        this.do(done)
        break
      }
      case 'air': {
        const [, high] = offeredAir(step, piecesLeftAt(plan, events, this.nowMs))
        this.takes('air', high)
        this.do({ type: 'finish-chosen', finish: 'hold' }, done)
        break
      }
      case 'hold': {
        const { fridgeLeftH } = piecesLeftAt(plan, events, this.nowMs)
        this.takes('fridge', fridgeLeftH * HOUR_MIN, true)
        if (fridgeLeftH > keepsOf(plan)!.fridgeH) this.over.push('fridge, for such pieces')
        return false
      }
      case 'knead': {
        const hours = this.night && state.chilled.length === 0 ? offeredNightH(nightH, left) : null
        if (hours !== null) {
          this.do({ type: 'chilled', minutes: 60 })
          this.takes('a night', hours * HOUR_MIN, true)
          break
        }
        this.lies(stepMinutes(plan, state, step).minutes)
        this.do(done)
        break
      }
      default:
        this.lies(stepMinutes(plan, state, step).minutes)
        this.do(done)
    }
    return true
  }
}

/** All of them take minutes (`npm run long`); in short only what changes a limit, and one shape of each kind. */
const isLong = process.env['HEAVY'] === '1'
const changes = Object.entries(rowChanges).filter(
  ([change]) => isLong || ['as started', 'milk', 'purée', 'soda'].includes(change),
)
function shapesOf(dough: Dough): readonly Shape[] {
  const all = shapesFor(dough, shapes)
  if (isLong) return all
  const kind = ({ keep, airBeforeCookMin, chillH, fillingG, blank }: Shape) =>
    JSON.stringify([keep, airBeforeCookMin, chillH, fillingG !== undefined, blank.type])
  return [...new Map(all.map((shape) => [kind(shape), shape])).values()]
}
const restSchools: readonly (Readonly<Record<string, string>> | null)[] = [
  null,
  ...schools.flatMap(({ id, positions }) =>
    positions.flatMap(({ id: position, sets }) =>
      sets?.rest === 'cold' || (sets?.rest && isLong) ? [{ [id]: position }] : [],
    ),
  ),
]

it.each(isLong ? [20, 29, 35] : [20, 35])('at a bench of %i °C', (celsius) => {
  const kitchen = benchAt(withMachines, celsius)
  let walked = 0
  const amiss = doughs.flatMap((dough) =>
    shapesOf(dough).flatMap((shape) =>
      changes.flatMap(([change, apply]) =>
        restSchools.flatMap((rest) => {
          const sheet = apply(startSheet(dough, shape, kitchen))
          const worked = computeSheet({ ...sheet, schools: { ...sheet.schools, ...rest } }, kitchen)
          if (!worked.ok) return []
          const plan = planBatch(worked.value, kitchen, AT, null)
          return [false, true].flatMap((night) => {
            const maker = new Maker(plan, night)
            while (maker.step(dough.restColdH.high));
            walked += 1
            return maker.over.map((what) => `${dough.id} as ${shape.id}, ${change}, ${JSON.stringify(rest)}: ${what}`)
          })
        }),
      ),
    ),
  )
  expect(amiss).toEqual([])
  expect(walked).toBeGreaterThan(1000)
})
