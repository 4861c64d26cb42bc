/** A work sheet: all that a maker decides about one dough. Formulas keep one, the draft is one, a batch remembers one. */
import { z } from '../zod.ts'
import { one, type Upgrades } from './loose.ts'
import { between, fraction, someG as massSchema, someMinutes, whole } from './ranges.ts'
import type { Reference } from './reference.ts'
import { WORKERS } from './workers.ts'
import { idSchema, nameSchema, noteSchema } from './text.ts'
import { spanSchema } from './window.ts'

export const amountSchema = z.lazy(() =>
  z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('percent'), percent: between(0, 1000) }),
    /** The water: its percent follows from the hydration, so it is not stored. */
    z.strictObject({
      by: z.literal('hydration'),
      percent: between(0, 300),
      basis: z.enum(['effective', 'basis14']),
    }),
  ]),
)

export const sheetRowSchema = z.lazy(() =>
  z.strictObject({
    key: idSchema,
    ingredient: idSchema,
    amount: amountSchema,
    flour: z.optional(z.literal(true)),
    /** The cooked potato, curd or milk that everything is counted on; such rows add to 100. */
    base: z.optional(z.literal(true)),
    lot: z.optional(idSchema),
    /** Typed in grams: it stays so when another row is typed, until it is scaled or its percent is typed. */
    typedG: z.optional(between(0, 1_000_000)),
    /** Read off a recipe: what it may be, times what stands; until a figure is typed. */
    unsure: z.optional(z.strictObject({ low: between(0, 1), high: between(1, 100) })),
    /** Water as measured, fraction of mass, where it is not what the table says. */
    water: z.optional(fraction),
  }),
)

export const targetSchema = z.lazy(() =>
  z.discriminatedUnion('by', [
    z.strictObject({ by: z.enum(['flour', 'dough', 'water', 'base']), grams: massSchema }),
    z.strictObject({ by: z.literal('portions'), count: between(0.001, 10_000), gramsEach: massSchema }),
    /** Each piece weighs what the shape's blank weighs in this dough. */
    z.strictObject({ by: z.literal('pieces'), count: between(0.001, 1_000_000) }),
    /** One row is locked at what is in the jar. */
    z.strictObject({ by: z.literal('row'), key: idSchema, grams: massSchema }),
  ]),
)

export const flourStateSchema = z.lazy(() =>
  z.discriminatedUnion('by', [
    z.strictObject({ by: z.literal('place'), place: idSchema }),
    z.strictObject({ by: z.literal('typed'), moisture: between(0.05, 0.2) }),
  ]),
)

/** Shapes of one dough beside the one it is for. */
export const MOST_ALSO = 8
/** `for`: a friend, tomorrow, the freezer. */
const alsoFields = () => ({ shape: idSchema, for: z.optional(nameSchema) })
export const alsoShapeSchema = z.lazy(() =>
  z.discriminatedUnion('by', [
    z.strictObject({ ...alsoFields(), by: z.literal('share'), percent: between(0.001, 100) }),
    z.strictObject({ ...alsoFields(), by: z.literal('count'), count: between(0.001, 1_000_000) }),
    z.strictObject({ ...alsoFields(), by: z.literal('grams'), grams: massSchema }),
  ]),
)

/** A filling is a name, a mass and a moisture; how it is made is nobody's business here. */
export const fillingSchema = z.lazy(() =>
  z.strictObject({
    name: nameSchema,
    gramsEach: between(0.001, 500),
    moisturePercent: between(0, 100),
  }),
)

/** What this dough goes through and how; null is what Gear has first, or the dough's own way. */
export const machinesSchema = z.lazy(() =>
  z.strictObject({
    /** A pin alone, though Gear holds a roller. */
    byPin: z.boolean(),
    roller: z.nullable(idSchema),
    press: z.nullable(idSchema),
    /** The sheet's ends joined, so that it runs round the roller. */
    belt: z.boolean(),
    /** Folded and passed so often before it is thinned. */
    folds: z.nullable(whole(0, 12)),
    /** Who mixes and kneads it; null is whoever does in Gear. */
    kneads: z.nullable(z.enum(WORKERS)),
  }),
)

export const sheetSchema = z.lazy(() =>
  z
    .strictObject({
      name: nameSchema,
      dough: idSchema,
      shape: idSchema,
      rows: z.array(sheetRowSchema).check(z.minLength(2), z.maxLength(60)),
      target: targetSchema,
      lossPercent: between(0, 50),
      flourState: flourStateSchema,
      /** Pour what this flour's own batches have taught, not only what the paper says. */
      useLearned: z.boolean(),
      /** Heat of the water, °C; null follows the school. */
      waterC: z.nullable(between(-5, 100)),
      /** Topic to position, where this dough is made another way than the maker's others. */
      schools: z.record(idSchema, idSchema),
      /** What one mix has to fit into; a larger dough is split. */
      vessel: z.nullable(idSchema),
      note: noteSchema,
      /** What else the dough is cut into; the shape above takes the rest. */
      alsoShapes: z.array(alsoShapeSchema).check(z.maxLength(MOST_ALSO)),
      /** For a filled shape; null leaves it at the usual mass and moisture. */
      filling: z.nullable(fillingSchema),
      /** A shape that could be filled is made empty: only its skins. */
      unfilled: z.boolean(),
      machines: machinesSchema,
      /** As a recipe has it, where it says so; else the dough's, the school's and the shape's own. */
      asRead: z.optional(
        z.strictObject({
          kneadMin: z.optional(spanSchema),
          restMin: z.optional(someMinutes),
          cookMin: z.optional(spanSchema),
        }),
      ),
    })
    .check(
      z.refine(
        ({ rows }) =>
          rows.filter((row) => row.amount.by === 'hydration').length === (rows.some((row) => row.base) ? 0 : 1) &&
          !rows.some((row) => row.base && row.flour),
        { params: { code: 'one-water-row' } },
      ),
      z.refine((sheet) => new Set(sheet.rows.map((row) => row.key)).size === sheet.rows.length, {
        params: { code: 'row-key-twice' },
      }),
    ),
)

export type Amount = z.infer<typeof amountSchema>
export type SheetRow = z.infer<typeof sheetRowSchema>
export type Target = z.infer<typeof targetSchema>
export type FlourState = z.infer<typeof flourStateSchema>
export type AlsoShape = z.infer<typeof alsoShapeSchema>
export type Filling = z.infer<typeof fillingSchema>
export type Machines = z.infer<typeof machinesSchema>
export const usualMachines: Machines = {
  byPin: false,
  roller: null,
  press: null,
  belt: false,
  folds: null,
  kneads: null,
}
export type Sheet = z.infer<typeof sheetSchema>

/** What a sheet names outside itself. Doughs and schools stand in the tables and are no records. */
export const sheetReferences = [
  { at: 'shape', to: 'shape' },
  { at: 'rows.*.ingredient', to: 'ingredient' },
  { at: 'rows.*.lot', to: 'lot' },
  { at: 'alsoShapes.*.shape', to: 'shape' },
  { at: 'flourState.place', to: 'place' },
  { at: 'vessel', to: 'vessel' },
  { at: 'machines.roller', to: 'roller' },
  { at: 'machines.press', to: 'press' },
] as const satisfies readonly Reference[]

/** 2: heat of the water, schools, a vessel. 3: several shapes of one dough, a filling. 5: machines, skins kept empty. 7: rows typed in grams. 12: who works it. */
export const sheetUpgrades: Upgrades = {
  2: (sheet) => ({ ...sheet, waterC: null, schools: {}, vessel: null }),
  3: (sheet) => ({ ...sheet, alsoShapes: [], filling: null }),
  5: (sheet) => ({ ...sheet, unfilled: false, machines: usualMachines }),
  12: (sheet) => ({ ...sheet, machines: one(sheet['machines'], (machines) => ({ ...machines, kneads: null })) }),
}
