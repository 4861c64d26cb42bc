/** What a recipe's words come to, as data: measures by region, ways of filling them, times, heats, and names in several languages. */
import { z } from '../zod.ts'
import { someText } from '../model/index.ts'
import type { Dough, Ingredient } from '../model/index.ts'

export const REGIONS = ['us', 'metric', 'jp', 'uk', 'au'] as const
export type Region = (typeof REGIONS)[number]

const positive = z.number().check(z.positive())
const words = z.array(someText).check(z.minLength(1))
const span = z.strictObject({
  low: z.number(),
  typical: z.number(),
  high: z.number(),
})

const measureSchema = z
  .strictObject({
    id: someText,
    names: words,
    /** One of them: g where it is a weight, ml where it is a volume. */
    g: z.optional(positive),
    ml: z.optional(positive),
    /** What it may be instead, in the same unit; absent: it is defined. */
    low: z.optional(positive),
    high: z.optional(positive),
    /** Where the name means this; absent: everywhere. */
    regions: z.optional(z.array(z.enum(REGIONS))),
    /** Of an ingredient or a group of them alone: a pinch of salt is none of nutmeg. */
    of: z.optional(someText),
  })
  .check(z.refine(({ g, ml }) => (g === undefined) !== (ml === undefined)))

export const readerSchema = z.strictObject({
  measures: z.array(measureSchema),
  modifiers: z.array(
    z.strictObject({
      words,
      factor: positive,
      low: positive,
      high: positive,
      on: z.enum(['any', 'spoon', 'cup', 'count']),
    }),
  ),
  times: z.array(z.strictObject({ words, minutes: span })),
  heats: z.array(z.strictObject({ words, c: span, use: someText })),
  /** What is counted, by the piece: g that reach the dough. */
  counted: z.array(
    z.strictObject({
      ingredient: someText,
      size: z.optional(z.enum(['small', 'large'])),
      g: positive,
      low: positive,
      high: positive,
    }),
  ),
  /** Names of an ingredient besides its own; `unsure` are those that others use for something else. */
  names: z.array(z.strictObject({ ingredient: someText, names: z.array(someText), unsure: z.optional(words) })),
})
export type ReaderFacts = z.infer<typeof readerSchema>
export type ReaderMeasure = ReaderFacts['measures'][number]
export type ReaderModifier = ReaderFacts['modifiers'][number]

/** All that reading needs. */
export interface RecipeTables {
  readonly ingredients: readonly Ingredient[]
  readonly doughs: readonly Dough[]
  readonly reader: ReaderFacts
}
