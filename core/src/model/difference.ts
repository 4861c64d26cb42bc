/**
 * The difference between two states of a record, as values: it can be stored, applied to another state of the same record
 * and turned round. What is written is the difference on top of what is stored, so that one change never puts back what
 * another has changed meanwhile.
 */

/** A field by its name, or a member of a list by its `id` or `key`. */
type Step = string | { readonly member: string }

export interface DifferencePart {
  readonly at: readonly Step[]
  /** Left out: the field or member goes. */
  readonly to?: unknown
  /** Of a new member: before which it stands; null is the end. */
  readonly before?: string | null
}
export type Difference = readonly DifferencePart[]

type Fields = Readonly<Record<string, unknown>>
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const nameOf = (member: unknown): string | null => {
  if (!isFields(member)) return null
  const name = member['id'] ?? member['key']
  return typeof name === 'string' ? name : null
}

/** Members by name, in order; null for a list whose members have none, or one twice. */
function membersOf(value: unknown): ReadonlyMap<string, unknown> | null {
  if (!Array.isArray(value)) return null
  const members = new Map<string, unknown>()
  for (const member of value as unknown[]) {
    const name = nameOf(member)
    if (name === null || members.has(name)) return null
    members.set(name, member)
  }
  return members
}

export const sameValue = (a: unknown, b: unknown): boolean => {
  if (Object.is(a, b)) return true
  if (Array.isArray(a)) return Array.isArray(b) && a.length === b.length && a.every((each, n) => sameValue(each, b[n]))
  if (!isFields(a) || !isFields(b)) return false
  const keys = Object.keys(a).filter((key) => a[key] !== undefined)
  return (
    keys.length === Object.keys(b).filter((key) => b[key] !== undefined).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameValue(a[key], b[key]))
  )
}

function listDifference(
  a: ReadonlyMap<string, unknown>,
  b: ReadonlyMap<string, unknown>,
  at: readonly Step[],
): Difference {
  const names = [...b.keys()]
  const stay = names.filter((name) => a.has(name))
  const sameOrder = [...a.keys()].filter((name) => b.has(name)).every((name, n) => name === stay[n])
  if (!sameOrder) return [{ at, to: [...b.values()] }]
  const gone: Difference = [...a.keys()].filter((name) => !b.has(name)).map((member) => ({ at: [...at, { member }] }))
  // From the end, so that the one it stands before is there already.
  const come: Difference = names
    .flatMap((member, n): DifferencePart[] =>
      a.has(member) ? [] : [{ at: [...at, { member }], to: b.get(member), before: names[n + 1] ?? null }],
    )
    .reverse()
  const changed = stay.flatMap((member) => differenceOf(a.get(member), b.get(member), [...at, { member }]))
  return [...gone, ...changed, ...come]
}

/** What turns `a` into `b`. @example differenceOf({ x: 1, y: 2 }, { x: 1, y: 3 }) → [{ at: ['y'], to: 3 }] */
export function differenceOf(a: unknown, b: unknown, at: readonly Step[] = []): Difference {
  if (sameValue(a, b)) return []
  const [before, after] = [membersOf(a), membersOf(b)]
  // An empty list says nothing of how its members are told apart; the other one does.
  if (before && after) return listDifference(before, after, at)
  if (!isFields(a) || !isFields(b)) return [b === undefined ? { at } : { at, to: b }]
  const keys = new Set([...Object.keys(a), ...Object.keys(b)])
  return [...keys].flatMap((key) => differenceOf(a[key], b[key], [...at, key]))
}

function withMember(
  list: readonly unknown[],
  { member }: { member: string },
  rest: readonly Step[],
  part: DifferencePart,
) {
  const isIt = (each: unknown) => nameOf(each) === member
  if (rest.length > 0) return list.map((each) => (isIt(each) ? changed(each, rest, part) : each))
  if (!('to' in part)) return list.filter((each) => !isIt(each))
  if (list.some(isIt)) return list.map((each) => (isIt(each) ? part.to : each))
  const before = list.findIndex((each) => nameOf(each) === part.before)
  return before < 0 ? [...list, part.to] : [...list.slice(0, before), part.to, ...list.slice(before)]
}

/** What is not there any more cannot be changed: such a part of a patch does nothing. */
function changed(value: unknown, [step, ...rest]: readonly Step[], part: DifferencePart): unknown {
  if (step === undefined) return part.to
  if (typeof step === 'object') return Array.isArray(value) ? withMember(value, step, rest, part) : value
  if (!isFields(value)) return value
  if (rest.length === 0 && !('to' in part)) {
    const { [step]: _gone, ...others } = value
    return others
  }
  return { ...value, [step]: changed(value[step], rest, part) }
}

/** A state of the record with the difference in it; twice is the same as once. */
export const withDifference = <T>(value: T, difference: Difference): T =>
  difference.reduce<unknown>((state, part) => changed(state, part.at, part), value) as T
