/** A batch and its pot, the same wherever it is told: how long, in how much water, in how many turns, and which of them is in. */
import {
  benchPieces,
  boilKey,
  cookNow,
  madeG,
  potNow,
  doughMoisture,
  driedTo,
  type BatchSummary,
  type Finish,
  type Shape,
  type ShapeTaught,
} from '@harina/core'
import {
  afterFloatOf,
  inPot,
  learntTimes,
  potsOf,
  timesOf,
  waterFor,
  type InPot,
  type LearntTimes,
  type Load,
  type Piece,
  type PieceCooking,
  type Times,
  type Water,
} from '@harina/core/stove'
import { useMemo } from 'react'
import { selectEnded, useKitchen, type RunningBatch } from '../state/select.ts'
import { useApp } from '../state/store.ts'
import { cookingFor } from '../workers/drying.ts'
import { useAnswer } from './useAnswer.ts'

export interface PotOf extends Times, Load, InPot {
  readonly learnt: LearntTimes
  /** Null while it is worked out; until then the table's time stands. */
  readonly cooking: PieceCooking | null
  readonly shape: Shape
  readonly grams: number
  readonly finish: Finish | null
  readonly moisture: number
  readonly water: Water
  /** Minutes after it rises; null where nobody goes by that. */
  readonly afterFloatMin: number | null
  /** Lifted when the clock rings, and tasted then. */
  readonly byClock: boolean
  /** Its step in the pot, and the clock of it. */
  readonly stepId: string
}

function useTaught(): readonly ShapeTaught[] {
  const ended = useApp(selectEnded)
  const wanted = useApp((state) => state.preferences.learnt)
  const forgot = useKitchen()?.gear.forgot
  return useMemo(() => {
    const counts = ({ atMs, taught }: BatchSummary) =>
      taught !== undefined && atMs > Date.parse(forgot?.[boilKey(taught.shape)] ?? '1970-01-01')
    return wanted ? (ended ?? []).flatMap((each) => (counts(each) ? (each.taught ?? []) : [])) : []
  }, [wanted, ended, forgot])
}

const keyOf = JSON.stringify as (piece: Piece) => string

/** Each piece once it is worked out, away from the page. */
function useCookings(pieces: readonly Piece[]): ReadonlyMap<string, PieceCooking> {
  const keys = pieces.map(keyOf).join('\n')
  const { last } = useAnswer(keys === '' ? null : keys, async (asked) => {
    const all = asked.split('\n').map(async (key) => [key, await cookingFor(JSON.parse(key) as Piece)] as const)
    return new Map((await Promise.allSettled(all)).flatMap((each) => (each.status === 'fulfilled' ? [each.value] : [])))
  })
  return last?.answer ?? NONE
}
const NONE: ReadonlyMap<string, PieceCooking> = new Map()

/** The step in which a batch is cooked, in water or otherwise. */
export const cookedIn = ({ batch: { plan } }: RunningBatch) =>
  plan.steps.find((step) => step.kind === 'drop' || step.kind === 'cook')

/** By the batch's id. */
export function usePot(running: readonly RunningBatch[]): ReadonlyMap<string, PotOf> {
  const kitchen = useKitchen()
  const taught = useTaught()
  const gear = kitchen?.gear
  const going = useMemo(
    () =>
      running.flatMap((each) => {
        const { plan } = each.batch
        const shape = kitchen?.shapes.get(plan.shape.id)
        const step = cookedIn(each)
        if (!shape || !step || !kitchen) return []
        const { blank, wallMm, section } = shape
        const { finish } = each.state
        const piece: Piece = {
          shape: { blank, wallMm, section },
          made: benchPieces(plan, each.state).blank,
          finish,
          // To what moves no time.
          moisture: Number((finish === 'dry' ? driedTo(each.state) : doughMoisture(plan, each.state)).toFixed(3)),
          altitudeM: kitchen.gear.altitudeM,
        }
        return [{ each, shape, step, piece }]
      }),
    [running, kitchen],
  )
  const known = useCookings(useMemo(() => going.map(({ piece }) => piece), [going]))
  return useMemo(() => {
    const pots = potsOf(gear ?? { pots: [] })
    return new Map(
      going.map(({ each: { batch, state }, shape, step, piece }): [string, PotOf] => {
        const { plan } = batch
        const { finish, moisture } = piece
        const cooking = known.get(keyOf(piece)) ?? null
        const learnt = learntTimes(taught, shape, finish)
        const grams = madeG(plan, state)
        const pot = pots.find(({ id }) => id === state.pot?.id) ?? state.pot ?? pots[0]!
        const water = waterFor(grams, potNow(plan, state), piece, pot, gear ?? { altitudeM: 0, tapC: 15 })
        const times = timesOf(
          { ...plan, minutes: { ...plan.minutes, cook: cookNow(plan, state) } },
          shape,
          finish,
          cooking,
          learnt,
        )
        const byClock = 'done' in step && step.done === 'clock'
        const of = {
          ...times,
          byClock,
          // By the clock alone it rings when they are done.
          tasteAtMin: byClock ? (times.span[0] + times.span[1]) / 2 : times.tasteAtMin,
          ...inPot(state, step.id),
          ...{ learnt, cooking, shape, grams, finish, moisture, water },
          turns: water.turns,
          returnMin: water.minutesToReturn,
          afterFloatMin: afterFloatOf(step, shape),
          stepId: step.id,
        }
        return [batch.id, of]
      }),
    )
  }, [going, known, taught, gear])
}
