/** A dough rolled out: through which settings in which order, how thick and long it gets, and what is cut or stamped of it. */
import type { Result } from '../result.ts'
import { fitting } from './hair.ts'
import { passes } from './passes.ts'
import { rolledSheet, type RolledSheet } from './rolledSheet.ts'
import { settingsOf, type Roller, type Setting } from './roller.ts'
import { stamped, type Stamp, type Stamped } from './stamp.ts'

/** Stiff doughs tear sooner: a third at a time below this, two fifths above. Percent. */
const STIFF_PERCENT = 36
const STIFF_RATIO = 1.5
const SUPPLE_RATIO = 1 / 0.6
/** Folded and passed at the widest: a stiff dough wants more of it before it is smooth. */
const STIFF_FOLDS = 5
const SUPPLE_FOLDS = 3
/** Scrap stiffens with the flour it takes up: twice more at the most. */
const REROLLS = 2
const PICKUP = 0.02

/** How often a dough is folded and passed at the widest until it is smooth. Hydration in percent. */
export const usualFolds = (hydrationPercent: number): number =>
  hydrationPercent < STIFF_PERCENT ? STIFF_FOLDS : SUPPLE_FOLDS

/** A pin on a board makes a sheet about so wide. */
export const PIN_WIDTH_MM = 300
/** Thicker than the widest setting leaves it by this much, a sheet is finished with the pin instead. */
const BY_PIN = 1.15

/** A setting that thins a sheet by less than this does nothing a hand would feel. */
const HAIR_THINNER = 0.03

/** Strands of a width cut at a length, or pieces stamped. */
export type SheetCut = { readonly pitchMm: number; readonly lengthMm: number } | { readonly stamp: Stamp }

export interface SheetPlanRequest {
  readonly doughG: number
  readonly densityGPerCm3: number
  readonly thicknessMm: number
  readonly hydrationPercent: number
  /** Null by pin. */
  readonly roller: Roller | null
  /** The longest sheet that can be handled. */
  readonly maxLengthMm: number
  readonly cut: SheetCut
  /** Folded and passed so often first; usual for its hydration where it is left out. */
  readonly folds?: number
  /** The dough was divided into so many; as long as can be handled where nobody said. */
  readonly sheets?: number | null
  /** It was thinned to this, whatever was planned, mm. */
  readonly thinnedMm?: number | null
}

export interface Pass extends Setting {
  /** Thickness of the sheet behind it. */
  readonly outMm: number
  readonly ratio: number
}

export interface RolledSheetPlan {
  /** Where folding and passing is done: the widest. */
  readonly widest: Pass | null
  /** Each doubles the layers. */
  readonly folds: number
  /** Then these, in order. Problems as of `passes`. */
  readonly passes: Result<readonly Pass[]>
  /** One setting more, for a sheet that is wanted thinner still; null by pin, and at the last one. */
  readonly further: Pass | null
  /** As thick as the last setting leaves it, or the pin: from here on the dough is this. */
  readonly madeMm: number
  readonly widthMm: number
  readonly sheet: RolledSheet
  readonly stamped: Stamped | null
  /** All that can be cut or stamped, re-rolls included. */
  readonly pieces: number
}

/** The setting that comes nearest to a thickness: a maker does not turn to the next for a hair. */
function nearestMm(outs: readonly number[], thicknessMm: number): number {
  return outs.reduce((best, out) => (Math.abs(out - thicknessMm) < Math.abs(best - thicknessMm) - 1e-9 ? out : best))
}

/** Strands across, each of its length, however the sheet is parted along; a piece as wide as the sheet lies along it. */
function strands(
  { lengthMm, strandsPerSheet = 0 }: RolledSheet,
  widthMm: number,
  cut: { pitchMm: number; lengthMm: number },
): number {
  if (strandsPerSheet > 0) return fitting(strandsPerSheet * lengthMm, cut.lengthMm)
  const turned = fitting(widthMm, cut.lengthMm)
  // Wider and longer than the sheet: rolled out one by one, as wide as it is.
  return turned > 0 ? fitting(turned * lengthMm, cut.pitchMm) : fitting(lengthMm * widthMm, cut.pitchMm * cut.lengthMm)
}

/**
 * So much dough, g, through a roller or under a pin to about this thickness, mm: how thick, wide and long it comes out, and
 * how many pieces are cut or stamped of it.
 */
export function rolledSheetPlan(request: SheetPlanRequest): RolledSheetPlan {
  const { doughG, densityGPerCm3, thicknessMm, hydrationPercent, roller, maxLengthMm, cut } = request
  const settings = roller ? settingsOf(roller) : []
  const [first] = settings
  const springBack = roller?.springBack ?? 1
  const widthMm = roller?.widthMm ?? PIN_WIDTH_MM
  const outOf = ({ gapMm }: Setting) => gapMm * springBack
  const outs = settings.map(outOf)
  const [thickest = 0, thinnest = 0] = [outs[0], outs.at(-1)]
  const isReached = first !== undefined && thicknessMm <= thickest * BY_PIN && thicknessMm >= thinnest / BY_PIN
  const aimMm = isReached ? nearestMm(outs, thicknessMm) : thicknessMm
  const found = passes({
    gapsMm: settings.map((setting) => setting.gapMm),
    startMm: first ? outOf(first) : 0,
    targetMm: aimMm,
    maxRatio: hydrationPercent < STIFF_PERCENT ? STIFF_RATIO : SUPPLE_RATIO,
    springBack,
  })
  const madeMm = request.thinnedMm ?? (found.ok ? aimMm : thicknessMm)
  const next = settings.find((setting) => outOf(setting) < madeMm * (1 - HAIR_THINNER))
  const rolled = rolledSheet({
    doughG,
    densityGPerCm3,
    thicknessMm: madeMm,
    widthMm,
    maxLengthMm,
    sheets: request.sheets ?? null,
    cutterPitchMm: 'pitchMm' in cut ? cut.pitchMm : undefined,
  })
  // Stamped sheets are as long as can be handled, and the last one shorter: fewest ends, least scrap.
  const longestMm = request.sheets ? rolled.sheetLengthMm : maxLengthMm
  const sheet: RolledSheet =
    'stamp' in cut ? { ...rolled, sheetLengthMm: Math.min(rolled.lengthMm, longestMm) } : rolled
  const stamping =
    'stamp' in cut
      ? stamped({
          sheet: { widthMm, lengthMm: rolled.lengthMm },
          maxLengthMm: longestMm,
          stamp: cut.stamp,
          thicknessMm: madeMm,
          densityGPerCm3,
          rerolls: REROLLS,
          pickupShare: PICKUP,
        })
      : null
  return {
    madeMm,
    widthMm,
    pieces: stamping ? stamping.pieces : 'pitchMm' in cut ? strands(sheet, widthMm, cut) : 0,
    folds: roller ? (request.folds ?? usualFolds(hydrationPercent)) : 0,
    further: next ? { ...next, outMm: outOf(next), ratio: madeMm / outOf(next) } : null,
    widest: first ? { ...first, outMm: outOf(first), ratio: 1 } : null,
    passes: found.ok
      ? {
          ok: true,
          value: found.value.sequence.flatMap((gapMm, index) => {
            const setting = settings.find((each) => each.gapMm === gapMm)
            return setting ? [{ ...setting, outMm: outOf(setting), ratio: found.value.ratios[index] ?? 1 }] : []
          }),
        }
      : found,
    sheet,
    stamped: stamping,
  }
}
