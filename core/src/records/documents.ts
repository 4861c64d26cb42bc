/** What the workspace keeps: formulas, flour lots, gear, batches and the draft. */
import { z } from '../zod.ts'
import { benchEventSchema, planSchema, WORKERS } from '../bench/schema.ts'
import { ingredientSchema } from '../ingredients/ingredient.ts'
import { defaultUnits, unitsSchema } from '../quantity/units.ts'
import { shapeSchema } from '../shape/shape.ts'
import { pressSchema, rollerSchema } from './machines.ts'
import { sheetSchema } from './sheet.ts'
import { idSchema, lineSchema, nameSchema, noteSchema, timeSchema } from './text.ts'

/** A formula as it stood before a change was kept. */
export const versionSchema = z.strictObject({ at: timeSchema, sheet: sheetSchema })
export const MAX_VERSIONS = 100
export const MAX_TAGS = 20

export const formulaSchema = z.strictObject({
  id: idSchema,
  sheet: sheetSchema,
  tags: z.array(nameSchema.max(40)).max(MAX_TAGS),
  archived: z.boolean(),
  /** Oldest first; the sheet above is the newest and not among them. */
  versions: z.array(versionSchema).max(MAX_VERSIONS),
  createdAt: timeSchema,
  updatedAt: timeSchema,
})

export const lotSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  ingredient: idSchema,
  note: noteSchema,
  /** In the maker's own money. */
  pricePerKg: z.number().min(0).max(100_000).optional(),
  /** What is left in the sack. */
  stockG: z.number().min(0).max(10_000_000).optional(),
  /** As its label says, fraction of mass. */
  protein: z.number().min(0).max(1).optional(),
})

/** An ingredient of the maker's own, or the table's put right: one of the same identifier stands in its place. */
export const ownIngredientSchema = ingredientSchema
  .extend({ id: idSchema, name: nameSchema })
  .refine((row) => row.water + row.fat + row.salt <= 1 + 1e-9, { params: { code: 'composition-over-one' } })

export const placeSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  temperatureC: z.number().min(-20).max(60),
  rhPercent: z.number().min(5).max(95),
})

/** What a mix has to fit into. */
export const vesselSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  maxDoughG: z.number().min(10).max(1_000_000),
})

/** A kind of press as the table describes it: where a maker starts from. */
export const pressKindSchema = pressSchema.extend({ note: z.string().min(1) })

/** A shape of the maker's own, or one of the table put right: one of the same identifier stands in its place. */
export const ownShapeSchema = shapeSchema.extend({
  id: idSchema,
  name: nameSchema,
  origin: nameSchema,
  otherNames: z.array(nameSchema).max(10),
  tools: z
    .array(z.strictObject({ tool: nameSchema, instead: nameSchema }))
    .min(1)
    .max(20),
  steps: z.array(lineSchema).min(2).max(30),
  checks: z.array(lineSchema).min(1).max(20),
  tooStiff: lineSchema,
  tooSoft: lineSchema,
  mistakes: z
    .array(z.strictObject({ sign: lineSchema, cause: lineSchema, remedy: lineSchema }))
    .min(1)
    .max(20),
  board: lineSchema,
  doneSign: lineSchema,
})

/** A known weight put on a scale, and what it showed. */
export const scaleCheckSchema = z.strictObject({
  at: timeSchema,
  scale: nameSchema,
  stepG: z.number().min(0.01).max(10),
  knownG: z.number().positive().max(100_000),
  shownG: z.number().min(0).max(100_000),
})
export const MAX_SCALE_CHECKS = 200

export const gearSchema = z.strictObject({
  id: z.literal('gear'),
  scaleStepG: z.number().min(0.01).max(10),
  boardMm: z.number().min(100).max(3000),
  places: z.array(placeSchema).min(1).max(20),
  vessels: z.array(vesselSchema).max(20),
  rollers: z.array(rollerSchema).max(20),
  presses: z.array(pressSchema).max(20),
  /** How far mixing and kneading by this maker's machine or hand warms the dough, degrees. */
  frictionC: z.number().min(0).max(30),
  tapC: z.number().min(0).max(40),
  altitudeM: z.number().min(-100).max(5000),
  units: unitsSchema,
  /** Topic to position: how this maker works unless a formula says otherwise. */
  schools: z.record(idSchema, idSchema),
  /** Grams a person, where they differ from the guide: `semolina/main/fresh`. */
  portions: z.record(z.string().max(60), z.number().min(1).max(2000)),
  /** When the cautions about alkali were last read and acknowledged. */
  alkaliReadAt: timeSchema.nullable(),
  /** Who kneads, where the dough allows either. */
  kneads: z.enum(WORKERS),
  /** The place the bench stands in; null is the first. */
  benchPlace: idSchema.nullable(),
  /** Oldest first. */
  scaleChecks: z.array(scaleCheckSchema).max(MAX_SCALE_CHECKS),
})

export const batchSchema = z.strictObject({
  id: idSchema,
  plan: planSchema,
  events: z.array(benchEventSchema).max(20_000),
})

/** A photo taken at a step, reduced before it is kept. Raster pictures only: a drawing could carry a script. */
export const photoSchema = z.strictObject({
  id: idSchema,
  batch: idSchema,
  step: idSchema,
  at: timeSchema,
  type: z.enum(['image/jpeg', 'image/webp', 'image/png']),
  base64: z.base64().min(1).max(4_000_000),
  widthPx: z.number().int().min(1).max(8000),
  heightPx: z.number().int().min(1).max(8000),
  note: noteSchema,
})

export const draftSchema = z.strictObject({
  id: z.literal('draft'),
  /** The formula this began as, if it stands in the book. */
  formula: idSchema.nullable(),
  sheet: sheetSchema,
})

export type Formula = z.infer<typeof formulaSchema>
export type Lot = z.infer<typeof lotSchema>
export type FormulaVersion = z.infer<typeof versionSchema>
export type OwnIngredient = z.infer<typeof ownIngredientSchema>
export type Vessel = z.infer<typeof vesselSchema>
export type KeptPress = z.infer<typeof pressSchema>
export type PressKind = z.infer<typeof pressKindSchema>
export type OwnShape = z.infer<typeof ownShapeSchema>
export type KeptRoller = z.infer<typeof rollerSchema>
export type Place = z.infer<typeof placeSchema>
export type Gear = z.infer<typeof gearSchema>
export type Batch = z.infer<typeof batchSchema>
export type Photo = z.infer<typeof photoSchema>
export type ScaleCheck = z.infer<typeof scaleCheckSchema>
export type Draft = z.infer<typeof draftSchema>

export const defaultGear: Gear = {
  id: 'gear',
  scaleStepG: 1,
  boardMm: 600,
  places: [{ id: 'kitchen', name: 'Kitchen', temperatureC: 21, rhPercent: 60 }],
  vessels: [],
  rollers: [],
  presses: [],
  frictionC: 2,
  tapC: 14,
  altitudeM: 0,
  units: defaultUnits,
  schools: {},
  portions: {},
  alkaliReadAt: null,
  kneads: 'hand',
  benchPlace: null,
  scaleChecks: [],
}
