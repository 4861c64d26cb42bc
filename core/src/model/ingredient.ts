import { z } from '../zod.ts'
import { BASE_FROM } from './dough.ts'
import { someText } from './text.ts'
import { spanSchema } from './window.ts'
import { between, fraction } from './ranges.ts'

/** One entry of the ingredient table. Fractions are of the ingredient's own mass, as it stands in the store. */
export const ingredientObject = () =>
  z.strictObject({
    id: someText,
    name: someText,
    group: z.enum([
      'flour',
      'pulse',
      'starch',
      'liquid',
      'salt',
      'alkali',
      'fat',
      'egg',
      'dairy',
      'vegetable',
      'colour',
      'seasoning',
      'dusting',
    ]),
    /** flour = part of the 100 %; liquid = brings water; additive = dosed on flour; dusting = outside the formula. */
    basis: z.enum(['flour', 'liquid', 'additive', 'dusting']),
    /** Which isotherm its moisture follows in store; only wheats have one. */
    grain: z.optional(z.enum(['durum', 'hard', 'soft'])),
    water: fraction,
    protein: fraction,
    fat: fraction,
    /** As sodium chloride. */
    salt: fraction,
    /** g of Na₂CO₃ equivalent per g. Baking soda is 0 until it has been baked. */
    carbonate: z.optional(between(0, 2)),
    /** Beside what is in its salt: of an alkali. */
    sodium: z.optional(fraction),
    potassium: z.optional(fraction),
    densityGPerMl: between(0.01, 25),
    /** Share of its water that is free to wet flour soon. */
    availableWater: fraction,
    /** Points of hydration against plain wheat flour at equal feel; null where it is no flour. */
    absorptionShift: z.nullable(between(-200, 2000)),
    gluten: z.enum(['strong', 'medium', 'weak', 'none']),
    particle: z.optional(z.enum(['coarse', 'fine'])),
    /** On the density: spooned and levelled, and scooped and shaken. Liquids are 1 and 1. */
    cupFactor: z.optional(z.strictObject({ low: between(0.1, 10), high: between(0.1, 10) })),
    /** Of a flour, a purée or a colour: the most on 100 of flour that a practised maker would use without a method of its own. */
    usualMaxSharePercent: z.optional(between(0.01, 100)),
    /** Spoils first, or feeds what spoils; where nothing is said its group and its water tell. */
    spoils: z.optional(z.enum(['plain', 'moist', 'perishable'])),
    allergens: z.array(z.string().check(z.minLength(1), z.maxLength(60))).check(z.maxLength(30)),
    /** What such a thing is often made with or beside: the pack says. */
    mayContain: z.optional(z.array(z.string().check(z.minLength(1), z.maxLength(60))).check(z.maxLength(30))),
    /** What a base is made from: how, in how many minutes, and how much raw gives 100 of it as it is weighed. */
    from: z.optional(z.strictObject({ by: z.enum(BASE_FROM), minutes: spanSchema, rawPer100: between(100, 1000) })),
    /** What the maker pays, in the maker's own money. */
    pricePerKg: z.optional(between(0, 100_000)),
  })

export const ingredientSchema = z.lazy(ingredientObject)

export type Ingredient = z.infer<typeof ingredientSchema>
export type Grain = NonNullable<Ingredient['grain']>

/** What the mass balance needs to know of an ingredient. */
export interface Material {
  readonly id: string
  readonly water: number
  readonly fat: number
  readonly salt: number
  readonly carbonate: number
}

export type IngredientTable = ReadonlyMap<string, Ingredient>

export const ingredientTable = (rows: readonly Ingredient[]): IngredientTable =>
  new Map(rows.map((row) => [row.id, row]))

export const materialOf = ({ id, water, fat, salt, carbonate = 0 }: Ingredient): Material => ({
  id,
  water,
  fat,
  salt,
  carbonate,
})

/** Plain water, whatever its temperature: what *nominal* hydration counts. */
export const isPlainWater = (material: Pick<Material, 'water'>): boolean => material.water >= 0.9999

/** Whether a row of it forbids drying in room air: milk, curd, egg, and drinks and mixes that carry them. */
export const isDairyOrEgg = ({ group, allergens }: Pick<Ingredient, 'group' | 'allergens'>): boolean =>
  group === 'dairy' || allergens.includes('milk') || allergens.includes('egg')
