/** Drying and cooking through the port. */
import { AIRS, fraction, GEOMETRIES } from '../model/index.ts'
import { ok, problem } from '../result.ts'
import {
  atMoistureG,
  cook,
  dry,
  DRYING_MODEL,
  ensembleOf,
  equilibrium,
  saltUptake,
  solidsG,
  wetBasis,
  type Drying,
  type Tray,
} from '../transport/index.ts'
import { z } from '../zod.ts'
import { kind, notNegative, positive, plain, type Kind, type Warning } from './kind.ts'

const MOST_AIRS = 10_000
const MOST_SAMPLES = 10_000
const LONGEST_H = 100_000

const moisture = z.number().check(z.positive(), z.lt(1))
const hours = notNegative.check(z.maximum(LONGEST_H))
const thickness = positive.check(z.maximum(1000))

const climate = z
  .array(
    z.strictObject({
      fromH: hours,
      temperatureC: z.number().check(z.minimum(-20), z.maximum(120)),
      rhPercent: z.number().check(z.minimum(0), z.maximum(100)),
      air: z.enum(AIRS),
    }),
  )
  .check(
    z.minLength(1),
    z.maxLength(MOST_AIRS),
    z.refine((airs) => airs.every(({ fromH }, n) => (n === 0 ? fromH === 0 : fromH > airs[n - 1]!.fromH)), {
      params: { code: 'climate-out-of-order' },
    }),
  )

const model = z.strictObject({
  d40M2PerS: z._default(positive, DRYING_MODEL.d40M2PerS),
  eaJPerMol: z._default(notNegative, DRYING_MODEL.eaJPerMol),
  scaleD: z._default(positive, DRYING_MODEL.scaleD),
  scaleK: z._default(positive, DRYING_MODEL.scaleK),
})

const tray = {
  geometry: z.enum(GEOMETRIES),
  halfThicknessMm: thickness,
  startMoisture: moisture,
  targetMoisture: z._default(moisture, 0.125),
  climate,
  exposure: z._default(positive, 1),
  maxH: z._default(positive.check(z.maximum(LONGEST_H)), 336),
  sampleH: z._default(z.array(hours).check(z.maxLength(MOST_SAMPLES)), []),
  model: z._default(model, DRYING_MODEL),
}

const equilibriumMoisture = ({ rhPercent, temperatureC }: Tray['climate'][number]): number =>
  wetBasis(equilibrium(rhPercent, temperatureC))

const lateWarnings = (
  { hoursToTarget, never }: Pick<Drying, 'hoursToTarget' | 'never'>,
  last: Tray['climate'][number],
): readonly Warning[] => {
  if (hoursToTarget !== null) return []
  return never
    ? [{ code: 'never', severity: 'caution', data: { rhPercent: last.rhPercent, temperatureC: last.temperatureC } }]
    : [{ code: 'not-within-maxH', severity: 'note' }]
}

export const transportKinds: Readonly<Record<string, Kind>> = {
  dry: kind(z.strictObject({ kind: z.literal('dry'), ...tray }), ({ maxH, sampleH, ...request }) => {
    const { never, ...found } = dry(request, { sampleH, maxH })
    const warnings = lateWarnings({ hoursToTarget: found.hoursToTarget, never }, request.climate.at(-1)!)
    return ok({ result: { ...found, model: request.model }, warnings })
  }),
  'fit-drying': kind(
    z.strictObject({
      kind: z.literal('fit-drying'),
      ...tray,
      startG: positive,
      scaleSdG: z._default(positive, 1),
      weighIns: z.array(z.strictObject({ h: hours, grams: positive })).check(z.minLength(1), z.maxLength(1000)),
    }),
    ({ maxH, sampleH: _, startG, scaleSdG, weighIns, ...request }) => {
      const dryG = solidsG(startG, request.startMoisture)
      const light = weighIns.find(({ grams }) => grams < dryG)
      if (light) return problem('lighter-than-dry', 'weighIns', { grams: light.grams, dryG })
      const { hoursToTarget, low, high, residualG } = ensembleOf({ tray: request, startG, weighIns, scaleSdG, maxH })
      const ends = equilibriumMoisture(request.climate.at(-1)!)
      const warnings = lateWarnings(
        { hoursToTarget, never: hoursToTarget === null && ends >= request.targetMoisture },
        request.climate.at(-1)!,
      )
      const last = weighIns.reduce((latest, each) => (each.h >= latest.h ? each : latest))
      return ok({
        result: {
          hoursToTarget,
          low,
          high,
          targetG: atMoistureG(dryG, request.targetMoisture),
          moistureNow: 1 - dryG / last.grams,
          residualG,
        },
        warnings,
      })
    },
  ),
  cook: kind(
    z.strictObject({
      kind: z.literal('cook'),
      geometry: z.enum(GEOMETRIES),
      halfThicknessMm: thickness,
      startMoisture: moisture,
      altitudeM: z._default(z.number().check(z.minimum(-100), z.maximum(5000)), 0),
    }),
    (request) => {
      const { heatOnly, ...result } = cook(request)
      return ok({ result, warnings: heatOnly ? [{ code: 'heat-only', severity: 'note' }] : [] })
    },
  ),
  'salt-uptake': kind(
    z
      .strictObject({
        kind: z.literal('salt-uptake'),
        portionG: positive,
        startMoisture: fraction.check(z.lt(1)),
        cookedMoisture: fraction.check(z.lt(1)),
        saltGPerL: notNegative,
        doughSaltG: z._default(notNegative, 0),
      })
      .check(
        z.refine(({ startMoisture, cookedMoisture }) => cookedMoisture >= startMoisture, {
          path: ['cookedMoisture'],
          params: { code: 'cooked-drier' },
        }),
      ),
    (request) => plain(saltUptake(request)),
  ),
}
