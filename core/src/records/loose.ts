/** Records of an older version, before they are checked: an upgrade touches what it knows and hands on the rest. */
export type Loose = Readonly<Record<string, unknown>>

const isRecord = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

export const each = (value: unknown, upgrade: (record: Loose) => unknown): unknown =>
  Array.isArray(value) ? value.map((entry: unknown) => (isRecord(entry) ? upgrade(entry) : entry)) : value

export const one = (value: unknown, upgrade: (record: Loose) => unknown): unknown =>
  isRecord(value) ? upgrade(value) : value
