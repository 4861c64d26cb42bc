/** Formula and lot through the port. */
import {
  COARSE_PERCENT,
  correctHydration,
  PACKED_MOISTURE,
  rebaseHydration,
  sackMoisture,
  solveBatch,
  storeMoisture,
  type BatchRequest,
  type BatchResult,
} from '../formula/index.ts'
import { materialOf, PACKINGS, type IngredientTable, type Material, fraction } from '../model/index.ts'
import { flourLot, flourLotAir, usualSack } from '../lot/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { leftOf, limitsOf, spentBy, spoilageOf } from '../safety/index.ts'
import { z } from '../zod.ts'
import {
  id,
  kind,
  notNegative,
  plain,
  positive,
  type CalcTables,
  type Computed,
  type Kind,
  type Warning,
} from './kind.ts'

const batchSchema = z.strictObject({
  kind: z.literal('batch'),
  rows: z
    .array(z.strictObject({ id, percent: notNegative, flour: z.optional(z.literal(true)) }))
    .check(z.minLength(1), z.maxLength(200)),
  materials: z._default(
    z
      .array(
        z
          .strictObject({
            id,
            water: fraction,
            fat: z._default(fraction, 0),
            salt: z._default(fraction, 0),
            carbonate: z._default(z.number().check(z.minimum(0), z.maximum(2)), 0),
          })
          .check(z.refine((m) => m.water + m.fat + m.salt <= 1 + 1e-9, { params: { code: 'composition-over-one' } })),
      )
      .check(z.maxLength(500)),
    [],
  ),
  solve: z.optional(
    z.strictObject({ row: id, percent: z.number(), basis: z.enum(['nominal', 'effective', 'basis14']) }),
  ),
  target: z.discriminatedUnion('by', [
    z.strictObject({ by: z.enum(['flour', 'dough', 'water']), grams: positive }),
    z.strictObject({ by: z.enum(['portions', 'pieces']), count: positive, gramsEach: positive }),
  ]),
  lossPercent: z._default(z.number().check(z.minimum(0), z.lt(100)), 0),
  scaleStepG: z._default(positive, 1),
  voids: z._default(z.number().check(z.minimum(0), z.lt(1)), 0.03),
})

type BatchPortRequest = z.infer<typeof batchSchema>

function materialsFor({ rows, materials }: BatchPortRequest, table: IngredientTable): Result<readonly Material[]> {
  const own = new Map(materials.map((material) => [material.id, material]))
  const found: Material[] = []
  for (const [index, row] of rows.entries()) {
    const entry = table.get(row.id)
    const material = own.get(row.id) ?? (entry && materialOf(entry))
    if (!material) return problem('unknown-ingredient', `rows.${index}.id`, { id: row.id })
    found.push(material)
  }
  return ok(found)
}

function solveOf({ rows, solve }: BatchPortRequest): Result<BatchRequest['solve']> {
  if (!solve) return ok(undefined)
  const index = rows.findIndex((row) => row.id === solve.row)
  if (index < 0) return problem('solve-unknown-row', 'solve.row', { id: solve.row })
  if (rows.filter((row) => row.id === solve.row).length > 1)
    return problem('solve-row-twice', 'solve.row', { id: solve.row })
  return ok({ index, percent: solve.percent, basis: solve.basis })
}

function batchWarnings({ rounding }: BatchResult): readonly Warning[] {
  const coarsest = rounding.coarsest
  if (!coarsest || coarsest.resolutionPercent <= COARSE_PERCENT) return []
  return [
    {
      code: 'scale-too-coarse',
      severity: 'caution',
      data: { id: coarsest.id, resolutionPercent: coarsest.resolutionPercent },
    },
  ]
}

function batch(request: BatchPortRequest, { ingredients }: CalcTables): Result<Computed> {
  const materials = materialsFor(request, ingredients)
  if (!materials.ok) return materials
  const solve = solveOf(request)
  if (!solve.ok) return solve
  const rows = request.rows.map((row, index) => ({
    material: materials.value[index] as Material,
    percent: row.percent,
    flour: row.flour === true,
  }))
  const { target, lossPercent, scaleStepG, voids } = request
  const solved = solveBatch({
    rows,
    target,
    lossPercent,
    scaleStepG,
    voids,
    ...(solve.value && { solve: solve.value }),
  })
  return solved.ok ? ok({ result: solved.value, warnings: batchWarnings(solved.value) }) : solved
}

/** So much dough that every row has a figure. */
const FLOUR_G = 1000

const stay = z.strictObject({ minutes: notNegative, temperatureC: z.number().check(z.minimum(-40), z.maximum(60)) })

const limitsSchema = z.strictObject({
  kind: z.literal('limits'),
  rows: batchSchema.shape.rows,
  filled: z._default(z.boolean(), false),
  scalded: z._default(z.boolean(), false),
  potatoBase: z._default(z.boolean(), false),
  history: z.array(stay).check(z.maxLength(10_000)),
  now: z.strictObject({ temperatureC: stay.shape.temperatureC }),
})

function limits(
  { rows, filled, scalded, potatoBase, history, now }: z.infer<typeof limitsSchema>,
  tables: CalcTables,
): Result<Computed> {
  const dough = batch(batchSchema.parse({ kind: 'batch', rows, target: { by: 'flour', grams: FLOUR_G } }), tables)
  if (!dough.ok) return dough
  const { carbonatePercent } = dough.value.result as BatchResult
  const brought = rows.filter(({ percent }) => percent > 0).map(({ id: of }) => spoilageOf(tables.ingredients.get(of)!))
  const allowed = limitsOf({ rows: brought, carbonatePercent, filled, scalded, potatoBase })
  return plain({ ...leftOf(spentBy(history, allowed), allowed, now.temperatureC), mayDry: allowed.mayDry })
}

const air = {
  temperatureC: z.number().check(z.minimum(-30), z.maximum(80)),
  rhPercent: z.number().check(z.minimum(5), z.maximum(95)),
} as const

export const formulaKinds: Readonly<Record<string, Kind>> = {
  batch: kind(batchSchema, batch),
  limits: kind(limitsSchema, limits),
  correct: kind(
    z.strictObject({
      kind: z.literal('correct'),
      flourG: positive,
      waterG: notNegative,
      targetPercent: notNegative,
      saltG: z._default(notNegative, 0),
    }),
    (request) => {
      const corrected = correctHydration(request)
      return corrected.ok ? plain(corrected.value) : corrected
    },
  ),
  'store-moisture': kind(
    z.strictObject({
      kind: z.literal('store-moisture'),
      grain: z.enum(['durum', 'hard', 'soft']),
      ...air,
    }),
    (request) => plain({ moisture: storeMoisture(request.grain, request) }),
  ),
  'sack-moisture': kind(
    z.strictObject({
      kind: z.literal('sack-moisture'),
      grain: z.enum(['durum', 'hard', 'soft']),
      packing: z.enum(PACKINGS),
      startMoisture: z._default(z.number().check(z.minimum(0.08), z.maximum(0.18)), PACKED_MOISTURE),
      stays: z.array(z.strictObject({ days: z.optional(notNegative), ...air })).check(
        z.minLength(1),
        z.maxLength(10_000),
        z.refine((stays) => stays.length === 1 || stays.every(({ days }) => days !== undefined), {
          params: { code: 'stay-without-days' },
        }),
      ),
    }),
    (request) => plain(sackMoisture(request)),
  ),
  'flour-lot-air': kind(
    z.strictObject({
      kind: z.literal('flour-lot-air'),
      grain: z.enum(['durum', 'hard', 'soft']),
      startMoisture: z._default(z.number().check(z.minimum(0.08), z.maximum(0.18)), usualSack.startMoisture),
      share: z._default(
        z.strictObject({ mean: z.number().check(z.minimum(0), z.maximum(1)), sd: positive }),
        usualSack.share,
      ),
      priorSd: z._default(positive, usualSack.priorSd),
      batchSd: z._default(positive, usualSack.batchSd),
      observations: z
        .array(z.strictObject({ paper14: z.number(), pouredPercent: z.number(), ...air }))
        .check(z.maxLength(10_000)),
      next: z.strictObject({ paper14: z.number(), ...air }),
    }),
    (request) => plain(flourLotAir(request)),
  ),
  rebase: kind(
    z.strictObject({
      kind: z.literal('rebase'),
      basis14Percent: z.number(),
      flourG: positive,
      flourMoisture: z.number().check(z.minimum(0), z.maximum(0.5)),
      otherWaterG: z._default(notNegative, 0),
    }),
    (request) => {
      const rebased = rebaseHydration(request)
      return rebased.ok ? plain(rebased.value) : rebased
    },
  ),
  'flour-lot': kind(
    z.strictObject({
      kind: z.literal('flour-lot'),
      priorSd: z._default(positive, 2),
      batchSd: z._default(positive, 0.8),
      observations: z.array(z.number()).check(z.maxLength(10_000)),
    }),
    (request) => plain(flourLot(request)),
  ),
}
