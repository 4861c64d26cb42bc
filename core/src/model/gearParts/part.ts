/** What one kind of thing in Gear is, told once: its schema, its fields in the editor and a fresh one follow from it. */
import { z } from '../../zod.ts'
import { between, whole } from '../ranges.ts'
import { idSchema, nameSchema } from '../text.ts'

/** A figure of a part, in its stored unit: how far it may go, and how finely it is shown. */
export interface Figure {
  readonly unit: 'g' | 'mm' | '°C' | '%' | 'count'
  readonly low: number
  readonly high: number
  /** Shown to so many decimals; by its unit where it is left out. */
  readonly decimals?: number
  /** Stored as a share of 1, shown and typed in percent. */
  readonly share?: true
  readonly whole?: true
  /** Null until somebody has said it. */
  readonly open?: true
}
export type Figures = Readonly<Record<string, Figure>>

type Number = z.ZodMiniNumber
type FigureSchemas<F extends Figures> = {
  [K in keyof F]: F[K] extends { readonly open: true } ? z.ZodMiniNullable<Number> : Number
}

/** The schema of each figure. */
export function figureSchemas<const F extends Figures>(figures: F): FigureSchemas<F> {
  const schemas = Object.entries(figures).map(([name, { low, high, whole: isWhole, open }]) => {
    const schema = isWhole ? whole(low, high) : between(low, high)
    return [name, open ? z.nullable(schema) : schema]
  })
  return Object.fromEntries(schemas) as FigureSchemas<F>
}

type Shape = Readonly<Record<string, z.ZodMiniType>>

interface PartSpec<List extends string, F extends Figures, More extends Shape> {
  /** Where Gear keeps them. */
  readonly list: List
  /** A kitchen has so many at least. */
  readonly atLeast: 0 | 1
  readonly figures: F
  /** What is no figure. */
  readonly more: () => More
}

/** A part with what every part has: an identifier that other records name, and a name. */
export function partOf<const List extends string, const F extends Figures, More extends Shape>({
  list,
  atLeast,
  figures,
  more,
}: PartSpec<List, F, More>) {
  const object = () => z.strictObject({ id: idSchema, name: nameSchema, ...figureSchemas(figures), ...more() })
  return { list, atLeast, figures, object, schema: z.lazy(object) }
}

export interface GearPartSpec<P extends { readonly id: string; readonly name: string }> {
  readonly list: string
  readonly atLeast: 0 | 1
  readonly figures: Figures
  readonly schema: z.ZodMiniType<P>
  /** What a new one begins as; null where it begins as one of the table. */
  readonly fresh: Omit<P, 'id'> | null
}
