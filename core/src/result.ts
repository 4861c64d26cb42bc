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

/** What a computation gives back where trouble is expected: a value, or a problem a caller can word for its user. */
export interface Problem {
  /** Stable, in kebab case. A table of sentences has one for each, or does not compile. */
  readonly code: ProblemCode
  /** Where in the input, as `rows.1.percent`. */
  readonly path?: string
  readonly data?: Readonly<Record<string, string | number | readonly string[]>>
}

export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem }

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const problem = (code: ProblemCode, path?: string, data?: Problem['data']): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { code, ...(path === undefined ? {} : { path }), ...(data === undefined ? {} : { data }) },
})

/** Whether an answer is a refusal. Any other value, whatever it is and wherever it comes from, is none. */
export const isRefusal = (answer: unknown): answer is { readonly ok: false; readonly problem: Problem } =>
  typeof answer === 'object' && answer !== null && 'ok' in answer && answer.ok === false && 'problem' in answer

/** For the end of a `switch` over a union: a new member does not compile until it is handled. */
export function unreachable(value: never): never {
  throw new Error(`unhandled case: ${JSON.stringify(value)}`)
}
