/** Water, pot and tempering through the port. */
import { boilingPointC, pot, pressureHPa, scald, temperMinutes, twoJugs, waterTemperature } from '../heat/index.ts'
import { ok } from '../result.ts'
import { z } from '../zod.ts'
import { fraction } from '../model/index.ts'
import { kind, notNegative, plain, positive, type Kind, type Warning } from './kind.ts'

const celsius = z.number().check(z.minimum(-273.15), z.maximum(1000))
const altitude = z.number().check(z.minimum(-100), z.maximum(5000))
const moisture = z.number().check(z.minimum(0), z.lt(1))

const other = z
  .strictObject({ grams: positive, celsius, water: fraction, fat: z._default(fraction, 0) })
  .check(z.refine((part) => part.water + part.fat <= 1 + 1e-9, { params: { code: 'composition-over-one' } }))

export const heatKinds: Readonly<Record<string, Kind>> = {
  'water-temperature': kind(
    z.strictObject({
      kind: z.literal('water-temperature'),
      flourG: positive,
      flourC: celsius,
      flourMoisture: z._default(moisture, 0.14),
      waterG: positive,
      others: z._default(z.array(other).check(z.maxLength(100)), []),
      frictionC: z._default(z.number(), 0),
      targetC: celsius,
      altitudeM: z._default(altitude, 0),
      tapC: z.optional(celsius),
      iceC: z._default(celsius.check(z.maximum(0)), -10),
    }),
    (request) => {
      const result = waterTemperature(request)
      const warnings: readonly Warning[] = result.feasible ? [] : [{ code: 'water-out-of-reach', severity: 'caution' }]
      return ok({ result, warnings })
    },
  ),
  'two-jugs': kind(
    z.strictObject({ kind: z.literal('two-jugs'), waterG: positive, wantedC: celsius, coldC: celsius, hotC: celsius }),
    ({ waterG, wantedC, coldC, hotC }) => {
      const jugs = twoJugs(waterG, wantedC, coldC, hotC)
      return jugs.ok ? plain(jugs.value) : jugs
    },
  ),
  scald: kind(
    z.strictObject({
      kind: z.literal('scald'),
      flourG: positive,
      flourC: celsius,
      flourMoisture: z._default(moisture, 0.14),
      waterG: positive,
      waterC: celsius,
    }),
    (request) => plain(scald(request)),
  ),
  'boiling-point': kind(z.strictObject({ kind: z.literal('boiling-point'), altitudeM: altitude }), ({ altitudeM }) =>
    plain({ celsius: boilingPointC(altitudeM), pressureHPa: pressureHPa(altitudeM) }),
  ),
  pot: kind(
    z.strictObject({
      kind: z.literal('pot'),
      litres: positive,
      powerKW: positive,
      efficiency: z._default(z.number().check(z.positive(), z.maximum(1)), 0.7),
      startC: celsius,
      altitudeM: z._default(altitude, 0),
      pastaG: notNegative,
      pastaC: celsius,
      pastaMoisture: fraction,
      saltGPerL: z._default(notNegative, 10),
    }),
    (request) => plain(pot(request)),
  ),
  temper: kind(
    z.strictObject({
      kind: z.literal('temper'),
      shape: z.enum(['slab', 'sphere']),
      halfThicknessMm: positive,
      fromC: celsius,
      roomC: celsius,
      withinC: z._default(positive, 3),
      moisture: fraction,
      hWPerM2K: z._default(positive, 8),
    }),
    (request) => plain({ minutes: temperMinutes(request) }),
  ),
}
