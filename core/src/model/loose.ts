/** Records of an older version, before they are checked: an upgrade touches what it knows and hands on the rest. */
export type Loose = Readonly<Record<string, unknown>>

export type Upgrade = (record: Loose) => Loose
/** What brings a record to a version from the one before, by the version it leads to. */
export type Upgrades = Readonly<Partial<Record<number, Upgrade>>>

export const isRecord = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

export const each = (value: unknown, upgrade: Upgrade): unknown =>
  Array.isArray(value) ? value.map((entry: unknown) => one(entry, upgrade)) : value

export const one = (value: unknown, upgrade: Upgrade): unknown => (isRecord(value) ? upgrade(value) : value)

/** A part of a record; what is none counts as empty, and is refused when the record is checked. */
export const partOf = (record: Loose, name: string): Loose => {
  const part = record[name]
  return isRecord(part) ? part : {}
}

/** Figures only: an object that imitates one is none. */
export const figureOr = (value: unknown, otherwise: number): number => (typeof value === 'number' ? value : otherwise)

/** The same upgrade of a part, at each version that has one: `sheet` of a formula, of a draft, of a plan. */
export const upgradesOf = (upgrades: Upgrades, lift: (upgrade: Upgrade) => Upgrade): Upgrades =>
  Object.fromEntries(Object.entries(upgrades).map(([version, upgrade]) => [version, upgrade && lift(upgrade)]))

/** Where a record changes in several ways at once: one after the other, version by version. */
export function together(...all: readonly Upgrades[]): Upgrades {
  const versions = new Set(all.flatMap((upgrades) => Object.keys(upgrades).map(Number)))
  return Object.fromEntries(
    [...versions].map((version) => [
      version,
      (record: Loose) => all.reduce((done, upgrades) => upgrades[version]?.(done) ?? done, record),
    ]),
  )
}
