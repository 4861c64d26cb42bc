/** Rope, sheet, roller, stamp and die through the port. */
import { extrude, passes, rolledSheet, rope, stamped } from '../geometry/index.ts'
import { ok } from '../result.ts'
import { z } from '../zod.ts'
import { whole } from '../model/index.ts'
import { kind, notNegative, plain, positive, type Kind, type Warning } from './kind.ts'

const MOST_REROLLS = 20
const MOST_GAPS = 1000

const warn = (code: string): Warning => ({ code, severity: 'caution' })

export const geometryKinds: Readonly<Record<string, Kind>> = {
  rope: kind(
    z.strictObject({
      kind: z.literal('rope'),
      doughG: positive,
      densityGPerCm3: positive,
      diameterMm: positive,
      cutMm: positive,
      boardMm: positive,
    }),
    (request) =>
      ok({ result: rope(request), warnings: request.cutMm > request.boardMm ? [warn('cut-longer-than-board')] : [] }),
  ),
  sheet: kind(
    z.strictObject({
      kind: z.literal('sheet'),
      doughG: positive,
      densityGPerCm3: positive,
      thicknessMm: positive,
      widthMm: positive,
      maxLengthMm: positive,
      cutterPitchMm: z.optional(positive),
    }),
    (request) => {
      const made = rolledSheet(request)
      return ok({ result: made, warnings: made.strandsPerSheet === 0 ? [warn('cutter-wider-than-sheet')] : [] })
    },
  ),
  passes: kind(
    z.strictObject({
      kind: z.literal('passes'),
      gapsMm: z.array(positive).check(z.minLength(1), z.maxLength(MOST_GAPS)),
      startMm: positive,
      targetMm: positive,
      maxRatio: z.number().check(z.gt(1)),
      springBack: z._default(positive, 1),
    }),
    (request) => {
      const found = passes(request)
      return found.ok ? plain(found.value) : found
    },
  ),
  stamp: kind(
    z.strictObject({
      kind: z.literal('stamp'),
      sheet: z.strictObject({ widthMm: positive, lengthMm: positive }),
      stamp: z.strictObject({
        shape: z.enum(['circle', 'square']),
        sizeMm: positive,
        gapMm: z._default(notNegative, 0),
      }),
      thicknessMm: positive,
      densityGPerCm3: positive,
      rerolls: z._default(whole(0, MOST_REROLLS), 0),
      pickupShare: z._default(notNegative, 0),
    }),
    (request) => {
      const made = stamped(request)
      return ok({ result: made, warnings: made.perSheet === 0 ? [warn('no-stamp-fits')] : [] })
    },
  ),
  extrude: kind(
    z.strictObject({
      kind: z.literal('extrude'),
      doughG: positive,
      densityGPerCm3: positive,
      openAreaMm2: positive,
      holes: whole(1, Number.MAX_SAFE_INTEGER),
      speedMmPerS: positive,
      cutMm: positive,
      swell: z._default(positive, 1),
      lumpG: positive,
    }),
    (request) => plain(extrude(request)),
  ),
}
