/** How long a piece cooks: the table's time, moved by thickness, dryness, height and what this kitchen has found. */
import { cookingSpan } from '../bench/index.ts'
import type { Finish, Plan, Shape } from '../model/index.ts'
import { pieceBodyOf } from '../rack/index.ts'
import { cookedThrough, type Cooking } from '../transport/index.ts'
import type { LearntTimes } from './learnt.ts'

/** A piece as it goes in. */
export interface Piece {
  readonly shape: Pick<Shape, 'blank' | 'wallMm' | 'section'>
  /** As it was made. */
  readonly made: Shape['blank']
  readonly finish: Finish | null
  /** As it goes in: dried, what it was dried to. Fraction of mass. */
  readonly moisture: number
  readonly altitudeM: number
}

export interface PieceCooking {
  /** Times the table's. */
  readonly factor: number
  /** Of the piece as it goes in; its times are the model's own and only scale the table's. */
  readonly model: Cooking
}

/**
 * The table's times are the anchor. The plan's have the thickness as made in them; the model adds what height takes, and for
 * dried pieces how their thickness differs from the listed one. Some milliseconds a piece.
 */
export function cookingOf({ shape, made, finish, moisture: startMoisture, altitudeM }: Piece): PieceCooking {
  const isDried = finish === 'dry'
  const body = pieceBodyOf({ ...shape, blank: made })
  const low = cookedThrough({ ...body, startMoisture, altitudeM: 0 })
  const high = altitudeM === 0 ? low : cookedThrough({ ...body, startMoisture, altitudeM })
  const listed = pieceBodyOf(shape)
  const isListed = listed.geometry === body.geometry && listed.halfThicknessMm === body.halfThicknessMm
  const thickness =
    !isDried || isListed ? 1 : low.doneMin / cookedThrough({ ...listed, startMoisture, altitudeM: 0 }).doneMin
  return { factor: (high.doneMin / low.doneMin) * thickness, model: high }
}

export interface Times {
  /** Minutes from the return of the boil, each way of the band. */
  readonly span: readonly [number, number]
  readonly tasteAtMin: number
  /** The same without what this kitchen has found. */
  readonly table: readonly [number, number]
}

/** `cooking` is null while it is being worked out: the table's time stands until then. */
export function timesOf(
  plan: Plan,
  shape: Pick<Shape, 'cookDriedMin'>,
  finish: Finish | null,
  cooking: Pick<PieceCooking, 'factor'> | null,
  { factor: learnt }: Pick<LearntTimes, 'factor'>,
): Times {
  const [from, to] = cookingSpan(plan, finish, shape.cookDriedMin)
  const factor = cooking?.factor ?? 1
  const table = [from * factor, to * factor] as const
  // What is filled is cooked by its filling: times of one's own may lengthen it, never shorten it.
  const moved = plan.steps.some(({ kind }) => kind === 'fill') ? Math.max(1, learnt) : learnt
  const span = [table[0] * moved, table[1] * moved] as const
  return { span, tasteAtMin: span[0], table }
}
