/**
 * Invented makers, to hold what Harina learns of a flour to: each with a thirst of the flour, habits of the hand, a store, cups or a
 * scale, and now and then a recipe typed wrong. What they would accept is known here alone; the product sees its own events.
 */
import {
  computeSheet,
  planBatch,
  startSheet,
  summarise,
  thirstByLot,
  setOnRule,
  type Batch,
  type BenchAction,
  type BenchEvent,
  type Kitchen,
  type Sheet,
  type Verdict,
} from '@harina/core'
import { random, type Random } from '../rooms/random.ts'

export interface Maker {
  /** What this flour wants against the table, and what this hand likes, points on the 14 % basis. */
  readonly thirst: number
  readonly habit: number
  /** Of one batch's judgement. */
  readonly noise: number
  /** Flour by cups: so far off is each batch, a share of its mass. */
  readonly cupsSd: number
  /** Which of the six is an absurd recipe, and by how much its figure is off; null for none. */
  readonly absurd: { readonly batch: number; readonly points: number } | null
  /** Types what was right into the formula afterwards. */
  readonly retypes: boolean
  /** Which batch was accepted far off in a hurry, and called poor. */
  readonly poor: number | null
}

export function drawMaker(r: Random): Maker {
  return {
    thirst: 1.6 * r.bell(),
    habit: 1.2 * r.bell(),
    noise: 0.5 + 0.4 * r.even(),
    cupsSd: r.even() < 0.25 ? 0.04 : 0,
    absurd:
      r.even() < 0.4
        ? { batch: Math.floor(6 * r.even()), points: (r.even() < 0.5 ? -1 : 1) * (7 + 7 * r.even()) }
        : null,
    retypes: r.even() < 0.2,
    poor: r.even() < 0.15 ? Math.floor(6 * r.even()) : null,
  }
}

const BATCHES = 6
const DAY_MS = 86_400_000
const START_MS = Date.parse('2031-01-06T09:00:00Z')

/** What the table asks of a dough as its first sheet has it, 14 % basis. */
const tableOf = (sheet: Sheet, kitchen: Kitchen): number => worked(sheet, { ...kitchen, thirst: new Map() }).expected14
function worked(sheet: Sheet, kitchen: Kitchen) {
  const found = computeSheet(sheet, kitchen)
  if (!found.ok) throw new Error(found.problem.code)
  return found.value
}

const eventsAt = (atMs: number, actions: readonly BenchAction[]): readonly BenchEvent[] =>
  actions.map((action, n) => ({ ...action, id: `e${n}`, at: new Date(atMs + n * 60_000).toISOString() }) as BenchEvent)

export interface Outcome {
  /** What the next first sheet would be poured to, less what this maker would accept, points. */
  readonly error: number
  /** By how much the absurd recipe has moved that; null where there was none. */
  readonly moved: number | null
}

/** Six batches of one dough and flour by one maker, and the seventh's sheet. */
export function outcomeOf(maker: Maker, doughId: string, shapeId: string, kitchen: Kitchen, seed: number): Outcome {
  const r = random(seed)
  const dough = kitchen.doughs.get(doughId)!
  const shape = kitchen.shapes.get(shapeId)!
  const first = startSheet(dough, shape, kitchen)
  const wants = tableOf(first, kitchen) + maker.thirst + maker.habit
  let mine = first
  const batches: Batch[] = []
  const known = (without?: number): Kitchen => ({
    ...kitchen,
    thirst: thirstByLot(batches.filter((_, n) => n !== without).map(summarise), kitchen.doughs),
  })
  for (let n = 0; n < BATCHES; n += 1) {
    const now = known()
    const isAbsurd = maker.absurd?.batch === n
    const base = isAbsurd ? first : mine
    const typed = isAbsurd
      ? setOnRule(
          worked(base, { ...kitchen, thirst: new Map() }),
          worked(first, kitchen).batch.hydration.effective + maker.absurd!.points,
        )
      : null
    const sheet = typed?.ok ? typed.value : base
    const plan = planBatch(worked(sheet, now), now, new Date(START_MS + n * DAY_MS).toISOString(), null)
    const isPoor = maker.poor === n
    const accepted = wants + maker.noise * r.bell() + (isPoor ? (r.even() < 0.5 ? -6 : 6) : 0)
    // Water for what this hand accepts, on the flour that is really there.
    const flourG = plan.rows.reduce((sum, row) => sum + (row.part === 'flour' ? row.weighedG : 0), 0)
    const reallyG = flourG * (1 + maker.cupsSd * r.bell())
    const planned = plan.hydration.expected14
    const points = accepted - planned
    const dry14 = plan.rows.reduce(
      (sum, row) => sum + (row.part === 'flour' ? (row.weighedG * (1 - row.water)) / 0.86 : 0),
      0,
    )
    const waterG = plan.rows.reduce((sum, row) => sum + (row.part === 'water' ? row.weighedG : 0), 0)
    const grams = Math.max(1, (waterG + (points / 100) * dry14) * (reallyG / flourG) + 0.005 * waterG * r.bell())
    const verdict: Verdict = isPoor ? 'poor' : r.even() < 0.5 ? 'good' : 'very-good'
    batches.push({
      id: `b${n}`,
      plan,
      events: [
        ...eventsAt(START_MS + n * DAY_MS, [
          { type: 'poured', grams: Math.round(grams) },
          { type: 'felt', feel: 'right' },
          { type: 'judged', verdict },
          { type: 'closed' },
        ]),
      ],
    })
    if (maker.retypes && !isAbsurd && !isPoor) {
      const shown = worked(sheet, now)
      const again = setOnRule(shown, shown.batch.hydration.effective + points)
      if (again.ok) mine = again.value
    }
  }
  const next = (without?: number) => worked(mine, known(without)).expected14
  return { error: next() - wants, moved: maker.absurd ? next() - next(maker.absurd.batch) : null }
}
