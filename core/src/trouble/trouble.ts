/** From a sign to its causes, weighed by what this batch's own numbers say. */
import {
  baseG,
  type BenchState,
  bowlOnRule,
  flourG,
  mainRest,
  missingG,
  PIECE_TOLERANCE_PERCENT,
  planWindow,
  saltWithFlour,
  sampleReport,
} from '../bench/index.ts'
import { FAMILIES, type IngredientTable, own, type Plan, positive, someText, TROUBLE_STAGES } from '../model/index.ts'
import type { Kitchen } from '../sheet/index.ts'
import { z } from '../zod.ts'

/** What a batch's numbers can show. */
export const EVIDENCE = [
  'dry',
  'wet',
  'not-drunk',
  'no-rest',
  'thirsty-flour',
  'uneven',
  'alkali-high',
  'alkali-low',
] as const
export type EvidenceCode = (typeof EVIDENCE)[number]

export const troubleSchema = z.strictObject({
  id: someText,
  stage: z.enum(TROUBLE_STAGES),
  families: z.array(z.enum(FAMILIES)).check(z.minLength(1)),
  sign: someText,
  /** Likeliest first. */
  causes: z
    .array(
      z.strictObject({
        cause: someText,
        likelihood: z.enum(['high', 'medium', 'low']),
        shownBy: z.optional(z.array(z.enum(EVIDENCE))),
      }),
    )
    .check(z.minLength(1)),
  test: someText,
  now: someText,
  /** What goes in, for 500 g of flour. */
  add: z.optional(z.strictObject({ what: z.enum(['water', 'flour']), gPer500: positive })),
  next: someText,
  safety: z.optional(someText),
  confidence: z.enum(['low', 'medium', 'high']),
})
export type Trouble = z.infer<typeof troubleSchema>

export interface Evidence {
  readonly code: EvidenceCode
  /** In what it is measured by: points outside the window, minutes still to wait, percent. */
  readonly by: number
}

const MINUTE_MS = 60_000
/** Closer to the window than this is no evidence. Points. */
const CLEAR_POINTS = 0.3
/** A flour that wants so much more than its paper is thirsty. Points. */
const THIRSTY_POINTS = 1

function bowlEvidence(plan: Plan, state: BenchState): readonly Evidence[] {
  if (state.additions.length === 0 && !state.done.includes('pour') && plan.control.by === 'hydration') return []
  const reading = bowlOnRule(plan, state)
  const { low, high } = planWindow(plan)
  const outside = reading < low ? reading - low : reading > high ? reading - high : 0
  if (Math.abs(outside) < CLEAR_POINTS) return []
  // On a base the rule counts flour: more of it is stiffer.
  const stiff = outside < 0 === (plan.control.by === 'hydration')
  return [{ code: stiff ? 'dry' : 'wet', by: Math.abs(outside) }]
}

function timeEvidence(plan: Plan, state: BenchState, nowMs: number): readonly Evidence[] {
  const last = state.additions.filter(({ what }) => what === 'water').at(-1)
  const drunkMin = last ? (nowMs - Date.parse(last.at)) / MINUTE_MS : Infinity
  const rest = mainRest(plan)
  const clock = rest && own(state.timers, rest.id)
  const restedMin = clock ? (nowMs - Date.parse(clock.startedAt)) / MINUTE_MS : 0
  const kneaded = state.done.includes('knead')
  return [
    ...(drunkMin < plan.minutes.drink ? [{ code: 'not-drunk', by: plan.minutes.drink - drunkMin } as const] : []),
    ...(kneaded && rest && restedMin < rest.low ? [{ code: 'no-rest', by: rest.low - restedMin } as const] : []),
  ]
}

/** Alkali on flour as sodium carbonate, percent: a gram of crystals or of unbaked soda is not a gram of it. */
const alkaliPercent = ({ rows }: Plan, ingredients: IngredientTable): number =>
  rows.reduce(
    (sum, { part, percent, ingredient }) =>
      part === 'alkali' ? sum + percent * (ingredients.get(ingredient)?.carbonate ?? 0) : sum,
    0,
  )

/** What this batch's numbers show, at a time. */
export function evidenceOf(
  plan: Plan,
  state: BenchState,
  nowMs: number,
  { ingredients, doughs }: Pick<Kitchen, 'ingredients' | 'doughs'>,
): readonly Evidence[] {
  const thirst = plan.hydration.expected14 - plan.hydration.paper14
  const samples = sampleReport(plan, state)
  const uneven = samples && (samples.drift !== 'none' || (samples.cvPercent ?? 0) > PIECE_TOLERANCE_PERCENT)
  const alkali = alkaliPercent(plan, ingredients)
  const { low, high } = doughs.get(plan.sheet.dough)?.alkaliPercent ?? { low: 0, high: 0 }
  return [
    ...bowlEvidence(plan, state),
    ...timeEvidence(plan, state, nowMs),
    ...(thirst >= THIRSTY_POINTS ? [{ code: 'thirsty-flour', by: thirst } as const] : []),
    ...(uneven ? [{ code: 'uneven', by: samples.cvPercent ?? 0 } as const] : []),
    // Against what this dough takes of it: one that takes none has too much of any.
    ...(alkali > high + 1e-9 ? [{ code: 'alkali-high', by: alkali } as const] : []),
    ...(alkali < low - 1e-9 ? [{ code: 'alkali-low', by: alkali } as const] : []),
  ]
}

export interface WeighedCause {
  readonly cause: string
  readonly likelihood: 'high' | 'medium' | 'low'
  /** What in the batch speaks for it. */
  readonly shownBy: readonly Evidence[]
  /** The bowl says the contrary. */
  readonly against: boolean
}

const OFTEN = { high: 3, medium: 2, low: 1 } as const
/** Evidence outweighs how usual a cause is. */
const SHOWN = 3
const AGAINST = -3

/** Causes, likeliest first for this batch; among equals as the table has them. */
export function weighedCauses({ causes }: Trouble, evidence: readonly Evidence[]): readonly WeighedCause[] {
  const bowl = evidence.find(({ code }) => code === 'dry' || code === 'wet')?.code
  const rank = ({ likelihood, shownBy, against }: WeighedCause) =>
    OFTEN[likelihood] + (shownBy.length > 0 ? SHOWN : 0) + (against ? AGAINST : 0)
  return causes
    .map(({ cause, likelihood, shownBy = [] }): WeighedCause => {
      const opposite = bowl === 'dry' ? 'wet' : 'dry'
      return {
        cause,
        likelihood,
        shownBy: evidence.filter(({ code }) => shownBy.includes(code)),
        against: bowl !== undefined && shownBy.includes(opposite) && !shownBy.includes(bowl),
      }
    })
    .sort((a, b) => rank(b) - rank(a))
}

export interface Remedy {
  readonly what: 'water' | 'flour'
  readonly grams: number
  /** That belongs to the flour. */
  readonly saltG: number
}

/** The remedy for this bowl; null where nothing goes in. */
export function remedyFor({ add }: Trouble, plan: Plan, state: BenchState): Remedy | null {
  if (!add) return null
  // A dough on a base is as large as its base; what is missing from the formula is missing, whatever is usual.
  const of = plan.control.by === 'base' ? baseG(plan, state) : flourG(plan, state)
  const grams = Math.max((add.gPer500 * of) / 500, missingG(plan, state, add.what))
  return { what: add.what, grams, saltG: add.what === 'flour' ? saltWithFlour(plan, state, grams) : 0 }
}
