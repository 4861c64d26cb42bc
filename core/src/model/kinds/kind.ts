/** What one kind of record is, told once: everything that is done to records alike is a loop over these. */
import type { z } from '../../zod.ts'
import type { Upgrades } from '../loose.ts'
import type { Reference } from '../reference.ts'

export interface KindSpec<
  R extends { readonly id: string },
  Home extends string = string,
  One extends boolean = boolean,
  Held extends boolean = boolean,
  To extends string = string,
> {
  /** Where a workspace and its file keep it. */
  readonly home: Home
  /** Of which there is one: it is joined, replaced or left, and never kept twice. */
  readonly one: One
  /** The app holds all of them while it runs; what is large is read when a page asks for it. */
  readonly held: Held
  /** Where the browser's store keeps it, by which key and which further indexes. */
  readonly table: { readonly name: string; readonly keys: string }
  /** Lazy, so that a page that begins does not wait for it. */
  readonly schema: z.ZodMiniType<R>
  readonly references: readonly Reference<To>[]
  readonly upgrades: Upgrades
  /** The first version of the file that has any. */
  readonly since: number
  /** What a maker calls this one. */
  readonly nameOf: (record: R) => string
}

/** Keeps `home`, `one`, `held` and what is named as they are written, so that types follow from them. */
export const kindOf = <
  R extends { readonly id: string },
  const Home extends string,
  const One extends boolean,
  const Held extends boolean,
  const To extends string = never,
>(
  spec: KindSpec<R, Home, One, Held, To>,
): KindSpec<R, Home, One, Held, To> => spec
