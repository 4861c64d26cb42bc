/** What a maker can run into while typing, on a sheet, at the desk of a drawer or over a blend. */
export type MakerProblemCode =
  | 'ambiguous-comma'
  | 'bake-gained'
  | 'bake-lost-too-much'
  | 'base-over-100'
  | 'bases-not-100'
  | 'blend-character'
  | 'blend-no-gluten'
  | 'blend-no-sacks'
  | 'blend-protein'
  | 'blend-shares'
  | 'blend-too-little'
  | 'blend-unlisted'
  | 'dough-too-large'
  | 'empty'
  | 'flour-all-water'
  | 'flour-over-100'
  | 'flours-not-100'
  | 'grams-out-of-reach'
  | 'locked-row-empty'
  | 'moisture-out-of-reach'
  | 'no-base-row'
  | 'no-draft'
  | 'no-flour'
  | 'no-gap-so-thin'
  | 'no-plain-water'
  | 'no-such-row'
  | 'no-water-row'
  | 'not-a-number'
  | 'not-finite'
  | 'not-on-base'
  | 'only-base'
  | 'only-flour'
  | 'pass-too-large'
  | 'percent-too-big'
  | 'refused'
  | 'shapes-over-dough'
  | 'solved-negative'
  | 'solved-row'
  | 'steamed-too-far'
  | 'too-big'
  | 'too-many-rows'
  | 'too-small'
  | 'unknown-dough'
  | 'unknown-ingredient'
  | 'unknown-shape'
  | 'weighing-order'
  | 'wrong-unit'
  | 'zero-target'

/** Why a file is not taken. */
export type FileProblemCode =
  | 'file-broken'
  | 'file-cut-short'
  | 'file-empty'
  | 'file-foreign'
  | 'file-hostile'
  | 'file-markup'
  | 'file-newer'
  | 'file-not-json'
  | 'file-too-big'
  | 'file-unread'

/** Why the calculation port refuses a request; its English stands in `calc/messages.ts`. */
export type PortProblemCode =
  | 'ambiguous-comma'
  | 'bake-gained'
  | 'bake-lost-too-much'
  | 'bicarbonate-is-no-carbonate'
  | 'climate-out-of-order'
  | 'composition-over-one'
  | 'cooked-drier'
  | 'correct-impossible'
  | 'empty'
  | 'flour-all-water'
  | 'flours-not-100'
  | 'jugs-out-of-reach'
  | 'lighter-than-dry'
  | 'missing-field'
  | 'no-flour'
  | 'no-gap-so-thin'
  | 'no-plain-water'
  | 'not-a-number'
  | 'not-a-request'
  | 'not-finite'
  | 'not-json'
  | 'pass-too-large'
  | 'rebase-impossible'
  | 'shares-not-one'
  | 'solve-no-water'
  | 'solve-not-plain-water'
  | 'solve-row-twice'
  | 'solve-unknown-row'
  | 'solved-negative'
  | 'stay-without-days'
  | 'too-big'
  | 'too-small'
  | 'unknown-field'
  | 'unknown-ingredient'
  | 'unknown-kind'
  | 'wrong-type'
  | 'wrong-unit'
  | 'wrong-value'

export type ProblemCode = MakerProblemCode | FileProblemCode | PortProblemCode

interface Id {
  readonly id: string
}
interface Limit {
  readonly limit: number
  /** Of what a maker typed. */
  readonly unit?: string
  /** The limit itself will do. */
  readonly inclusive?: boolean
}
interface Sum {
  readonly sum: number
}
interface Percent {
  readonly percent: number
}
interface Text {
  readonly text: string
}
interface Most {
  readonly max: number
}

/** What a problem says beside its code. One that is not here says nothing; a renamed figure does not compile. */
export interface ProblemData {
  'ambiguous-comma': Text
  'bake-lost-too-much': { readonly leastG: number }
  'bases-not-100': Sum
  'blend-character': Percent
  'blend-no-gluten': Percent
  'blend-protein': { readonly low: number; readonly high: number }
  'blend-too-little': { readonly stockG: number; readonly flourG: number }
  'blend-unlisted': Percent
  'dough-too-large': { readonly grams: number }
  'file-newer': { readonly version: number }
  'flours-not-100': Sum
  'jugs-out-of-reach': { readonly coldC: number; readonly hotC: number }
  'lighter-than-dry': { readonly grams: number; readonly dryG: number }
  'no-gap-so-thin': { readonly thinnestMm: number; readonly targetMm: number }
  'not-a-number': Text
  'pass-too-large': { readonly fromMm: number; readonly toMm: number; readonly ratio: number }
  'percent-too-big': Most
  'rebase-impossible': { readonly overG: number }
  'shapes-over-dough': { readonly overG: number }
  'shares-not-one': Sum
  'solve-row-twice': Id
  'solve-unknown-row': Id
  'solved-negative': Percent
  'too-big': Limit
  'too-many-rows': Most
  'too-small': Limit
  'unknown-dough': Id
  'unknown-field': { readonly keys: readonly string[] }
  'unknown-ingredient': Id
  'unknown-kind': { readonly known: readonly string[] }
  'unknown-shape': Id
  'wrong-type': { readonly expected: string }
  'wrong-unit': Text & { readonly unit: string; readonly reads: string }
  'wrong-value': { readonly allowed: string }
}

/** What a problem of this code says; nothing, for most. */
export type DataOf<C extends ProblemCode> = C extends keyof ProblemData ? ProblemData[C] : undefined

type ProblemOf<C extends ProblemCode> = {
  /** Stable, in kebab case. A table of sentences has one for each, or does not compile. */
  readonly code: C
  /** Where in the input, as `rows.1.percent`. */
  readonly path?: string
} & (C extends keyof ProblemData ? { readonly data: ProblemData[C] } : { readonly data?: undefined })

/** What a computation gives back where trouble is expected: a value, or a problem a caller can word for its user. */
export type Problem = { [C in ProblemCode]: ProblemOf<C> }[ProblemCode]

/** A sentence for each of these codes, of what each says. */
export type SentencesFor<C extends ProblemCode, Beside extends readonly unknown[] = []> = {
  readonly [Each in C]: (data: DataOf<Each>, ...beside: Beside) => string
}

export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem }

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const problem = <C extends ProblemCode>(
  code: C,
  path?: string,
  ...[data]: C extends keyof ProblemData ? [ProblemData[C]] : []
): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { code, ...(path === undefined ? {} : { path }), ...(data === undefined ? {} : { data }) } as Problem,
})

/** Whether an answer is a refusal. Any other value, whatever it is and wherever it comes from, is none. */
export const isRefusal = (answer: unknown): answer is { readonly ok: false; readonly problem: Problem } =>
  typeof answer === 'object' && answer !== null && 'ok' in answer && answer.ok === false && 'problem' in answer

/** For the end of a `switch` over a union: a new member does not compile until it is handled. */
export function unreachable(value: never): never {
  throw new Error(`unhandled case: ${JSON.stringify(value)}`)
}
