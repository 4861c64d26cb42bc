/** What a computation gives back where trouble is expected: a value, or a problem a caller can word for its user. */
export interface Problem {
  /** Stable, in kebab case; the English for it stands in `calc/messages.ts`. */
  readonly code: string
  /** Where in the input, as `rows.1.percent`. */
  readonly path?: string
  readonly data?: Readonly<Record<string, string | number | readonly string[]>>
}

export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem }

export const ok = <T>(value: T): Result<T> => ({ ok: true, value })

export const problem = (code: string, path?: string, data?: Problem['data']): { ok: false; problem: Problem } => ({
  ok: false,
  problem: { code, ...(path === undefined ? {} : { path }), ...(data === undefined ? {} : { data }) },
})

/** For the end of a `switch` over a union: a new member does not compile until it is handled. */
export function unreachable(value: never): never {
  throw new Error(`unhandled case: ${JSON.stringify(value)}`)
}
