/** What records name, as data: each reference says where in the record it stands and what it names. */
export interface Reference<To extends string = string> {
  /** A path of names; `*` is every member of a list: `rows.*.lot`. */
  readonly at: string
  /** A kind of record, or a part of Gear; `kinds/index.ts` does not compile where it is neither. */
  readonly to: To
  /** This record is a part of the one it names: a copy of that one takes a copy of this along. */
  readonly partOf?: true
}

export const under = <To extends string>(
  place: string,
  references: readonly Reference<To>[],
): readonly Reference<To>[] => references.map((reference) => ({ ...reference, at: `${place}.${reference.at}` }))

type Change = (id: string) => string

function changedAt(value: unknown, [name, ...rest]: readonly string[], change: Change): unknown {
  if (name === undefined) return typeof value === 'string' ? change(value) : value
  if (typeof value !== 'object' || value === null) return value
  if (name === '*')
    return Array.isArray(value) ? value.map((member: unknown) => changedAt(member, rest, change)) : value
  if (!Object.hasOwn(value, name)) return value
  const held = (value as Record<string, unknown>)[name]
  const next = changedAt(held, rest, change)
  return next === held ? value : { ...value, [name]: next }
}

/** The record with every reference as `rename` has it; its own identifier stays. */
export const withReferences = <T>(
  record: T,
  references: readonly Reference[],
  rename: (reference: Reference, id: string) => string,
): T =>
  references.reduce<T>(
    (changed, reference) => changedAt(changed, reference.at.split('.'), (id) => rename(reference, id)) as T,
    record,
  )

export interface Named extends Pick<Reference, 'to' | 'partOf'> {
  readonly id: string
}

/** All that a record names, in the order of its references. */
export function namedBy(record: unknown, references: readonly Reference[]): readonly Named[] {
  const named: Named[] = []
  withReferences(record, references, ({ to, partOf }, id) => {
    named.push({ to, id, ...(partOf ? { partOf } : {}) })
    return id
  })
  return named
}
