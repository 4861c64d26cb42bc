import { DONE_BY, DUSTS, windowSchema } from '../model/index.ts'
import { z } from '../zod.ts'

/** What following a position does to a sheet; each field is a figure or a choice the position stands for. */
export const setsSchema = z.lazy(() =>
  z.strictObject({
    /** From where to where the position goes; what already lies in it stays. Percent of the flour. */
    saltPercent: z.optional(windowSchema),
    /** Salt in the pot that goes with so much in the dough, g a litre. */
    potWithSaltGPerL: z.optional(z.number().check(z.minimum(0))),
    oilPercent: z.optional(windowSchema),
    /** Brushed on for the rest. */
    oilOnSkin: z.optional(z.boolean()),
    waterC: z.optional(z.strictObject({ fromC: z.number(), toC: z.number() })),
    mix: z.optional(z.enum(['fork', 'rake', 'rub'])),
    holdBack: z.optional(z.boolean()),
    /** Flour waits beside the bowl in place of water. */
    holdFlour: z.optional(z.boolean()),
    goes: z.optional(z.enum(['once', 'thirds'])),
    rest: z.optional(z.enum(['low', 'best', 'chill', 'long', 'cold'])),
    binder: z.optional(z.enum(['none', 'starch', 'egg'])),
    /** Of a wheat dough: an ingredient, or none. */
    wheatBinder: z.optional(z.string()),
    base: z.optional(z.string()),
    liquid: z.optional(z.string()),
    potSaltGPerL: z.optional(z.number().check(z.minimum(0))),
    dust: z.optional(z.enum(DUSTS)),
    board: z.optional(z.enum(['bare', 'floured', 'ridged'])),
    folds: z.optional(z.enum(['two', 'three', 'turn'])),
    passing: z.optional(z.enum(['setting', 'piece'])),
    airSheet: z.optional(z.boolean()),
    /** The flour waits until the potato is this cool, °C. */
    baseBelowC: z.optional(z.number()),
    batter: z.optional(z.enum(['beaten', 'combined'])),
    done: z.optional(z.enum(DONE_BY)),
    afterFloatMin: z.optional(z.number().check(z.positive())),
    rinse: z.optional(z.enum(['plain', 'rinse', 'ice'])),
  }),
)
export type SchoolSets = z.infer<typeof setsSchema>
