/** Families against methods: where the windows lie, and where they overlap. */
import type { Dough, Family, Method, Window } from '../model/index.ts'

export interface MapRow {
  readonly family: Family
  readonly method: Method
  /** What the windows count: water on flour, or flour on what. */
  readonly on: string
  readonly doughs: readonly { readonly dough: Dough; readonly window: Window }[]
  /** From the lowest of its doughs to the highest. */
  readonly low: number
  readonly high: number
}

const onOf = ({ control, family }: Dough): string =>
  control.by === 'base' ? control.base : family === 'batter' ? 'batter' : 'flour'

/** A row for every family, method and thing counted on, in the order of the table. Doughs counted on unlike things never share one. */
export function methodMap(doughs: readonly Dough[]): readonly MapRow[] {
  const rows = new Map<string, MapRow>()
  for (const dough of doughs)
    for (const [method, window] of Object.entries(dough.windows) as [Method, Window][]) {
      const on = onOf(dough)
      const key = `${dough.family} ${method} ${on}`
      const known = rows.get(key)
      rows.set(key, {
        family: dough.family,
        method,
        on,
        doughs: [...(known?.doughs ?? []), { dough, window }],
        low: Math.min(known?.low ?? Infinity, window.low),
        high: Math.max(known?.high ?? -Infinity, window.high),
      })
    }
  return [...rows.values()]
}

/** Doughs of a row that a reading stands in. */
export const doughsAt = ({ doughs }: MapRow, reading: number): readonly Dough[] =>
  doughs.filter(({ window }) => reading >= window.low && reading <= window.high).map(({ dough }) => dough)

/** Doughs of these flours, counted on the same thing, that a reading stands in by any method: what it would be instead. */
export const doughsHolding = (
  like: Dough,
  flours: ReadonlySet<string>,
  reading: number,
  doughs: Iterable<Dough>,
): readonly Dough[] =>
  [...doughs].filter(
    (dough) =>
      onOf(dough) === onOf(like) &&
      dough.flours.some((flour) => flours.has(flour)) &&
      // A mixture is none without all of it: a wheat dough is no buckwheat.
      (dough.mixture ?? []).every(({ flour }) => flours.has(flour)) &&
      Object.values(dough.windows).some(({ low, high }) => reading >= low && reading <= high),
  )
