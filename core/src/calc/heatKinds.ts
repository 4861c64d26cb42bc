/** Water, pot and tempering through the port. */
import { boilingPointC, pot, pressureHPa, scald, temperMinutes, twoJugs, waterTemperature } from '../heat/index.ts'
import { ok } from '../result.ts'
import { z } from '../zod.ts'
import { fraction } from '../model/index.ts'
import { kind, notNegative, plain, positive, type Kind, type Warning } from './kind.ts'

const celsius = z.number().min(-273.15).max(1000)
const altitude = z.number().min(-100).max(5000)
const moisture = z.number().min(0).lt(1)

const other = z
  .strictObject({ grams: positive, celsius, water: fraction, fat: fraction.default(0) })
  .refine((part) => part.water + part.fat <= 1 + 1e-9, { params: { code: 'composition-over-one' } })

export const heatKinds: Readonly<Record<string, Kind>> = {
  'water-temperature': kind(
    z.strictObject({
      kind: z.literal('water-temperature'),
      flourG: positive,
      flourC: celsius,
      flourMoisture: moisture.default(0.14),
      waterG: positive,
      others: z.array(other).max(100).default([]),
      frictionC: z.number().default(0),
      targetC: celsius,
      altitudeM: altitude.default(0),
      tapC: celsius.optional(),
      iceC: celsius.max(0).default(-10),
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
      flourMoisture: moisture.default(0.14),
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
      efficiency: z.number().positive().max(1).default(0.7),
      startC: celsius,
      altitudeM: altitude.default(0),
      pastaG: notNegative,
      pastaC: celsius,
      pastaMoisture: fraction,
      saltGPerL: notNegative.default(10),
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
      withinC: positive.default(3),
      moisture: fraction,
      hWPerM2K: positive.default(8),
    }),
    (request) => plain({ minutes: temperMinutes(request) }),
  ),
}
