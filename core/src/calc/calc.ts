import type { z } from '../zod.ts'
import { problem, type PortProblemCode, type Problem } from '../result.ts'
import type { CalcTables, Warning } from './kind.ts'
import { kinds } from './kinds.ts'
import { errorMessage, warningMessage } from './messages.ts'

export type Answer =
  | {
      readonly ok: true
      readonly kind: string
      readonly result: object
      readonly warnings: readonly { code: string; severity: Warning['severity']; message: string }[]
    }
  | {
      readonly ok: false
      readonly kind: string | null
      readonly error: { readonly code: string; readonly path: string; readonly message: string }
    }

const refuse = (kind: string | null, wrong: Problem): Answer => ({
  ok: false,
  kind,
  error: { code: wrong.code, path: wrong.path ?? '', message: errorMessage(wrong) },
})

/** Zod's findings in the port's own codes. */
function problemOf(issue: z.core.$ZodIssue): Problem {
  const path = issue.path.join('.')
  switch (issue.code) {
    case 'unrecognized_keys':
      return problem('unknown-field', [...issue.path, issue.keys[0]].join('.'), { keys: issue.keys }).problem
    case 'invalid_type':
      return problem(issue.input === undefined ? 'missing-field' : 'wrong-type', path, { expected: issue.expected })
        .problem
    case 'too_small':
      return problem('too-small', path, { limit: Number(issue.minimum), inclusive: issue.inclusive ?? false }).problem
    case 'too_big':
      return problem('too-big', path, { limit: Number(issue.maximum), inclusive: issue.inclusive ?? false }).problem
    case 'invalid_value':
      return problem('wrong-value', path, { allowed: issue.values.map((value) => JSON.stringify(value)).join(', ') })
        .problem
    case 'custom':
      return problem(issue.params?.['code'] as PortProblemCode, path).problem
    default:
      return problem('wrong-value', path, { allowed: 'one of the forms in docs/calc.md' }).problem
  }
}

function allFinite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value)
  if (typeof value !== 'object' || value === null) return true
  return Object.values(value).every(allFinite)
}

/**
 * The calculation port: one plain JSON request in, one plain JSON answer out; `docs/calc.md` is its contract.
 * Total: whatever comes in, an answer comes out, with no NaN or Infinity in it.
 */
export function calc(request: unknown, tables: CalcTables): Answer {
  if (typeof request !== 'object' || request === null || Array.isArray(request))
    return refuse(null, problem('not-a-request').problem)
  const name = (request as { kind?: unknown }).kind
  if (typeof name !== 'string') return refuse(null, problem('not-a-request', 'kind').problem)
  const kind = Object.hasOwn(kinds, name) ? kinds[name] : undefined
  if (!kind) return refuse(name, problem('unknown-kind', 'kind', { known: Object.keys(kinds) }).problem)
  const read = kind.schema.safeParse(request, { reportInput: true })
  if (!read.success) return refuse(name, problemOf(read.error.issues[0] as z.core.$ZodIssue))
  const computed = kind.run(read.data as never, tables)
  if (!computed.ok) return refuse(name, computed.problem)
  const { result, warnings } = computed.value
  if (!allFinite(result)) return refuse(name, problem('not-finite').problem)
  return {
    ok: true,
    kind: name,
    result,
    warnings: warnings.map((warning) => ({
      code: warning.code,
      severity: warning.severity,
      message: warningMessage(warning),
    })),
  }
}

/** What the command line does with its input: text in, an answer or an array of answers out. */
export function calcText(text: string, tables: CalcTables): Answer | readonly Answer[] {
  let input: unknown
  try {
    input = JSON.parse(text)
  } catch {
    return refuse(null, problem('not-json').problem)
  }
  return Array.isArray(input) ? input.map((request) => calc(request, tables)) : calc(input, tables)
}
