/** A dough through the roller: which settings in which order, how long it gets, and what is cut or stamped of it. */
import type { Result } from '../result.ts'
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

/** Strands of a width, or pieces stamped. */
export type SheetCut = { readonly pitchMm: number } | { readonly stamp: Stamp }

export interface SheetPlanRequest {
  readonly doughG: number
  readonly densityGPerCm3: number
  readonly thicknessMm: number
  readonly hydrationPercent: number
  readonly roller: Roller
  /** The longest sheet that can be handled. */
  readonly maxLengthMm: number
  readonly cut: SheetCut
  /** Folded and passed so often first; usual for its hydration where it is left out. */
  readonly folds?: number
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
  readonly sheet: RolledSheet
  readonly stamped: Stamped | null
}

export function rolledSheetPlan(request: SheetPlanRequest): RolledSheetPlan {
  const { doughG, densityGPerCm3, thicknessMm, hydrationPercent, roller, maxLengthMm, cut } = request
  const settings = settingsOf(roller)
  const [first] = settings
  const { springBack, widthMm } = roller
  const outOf = ({ gapMm }: Setting) => gapMm * springBack
  const found = passes({
    gapsMm: settings.map((setting) => setting.gapMm),
    startMm: first ? outOf(first) : 0,
    targetMm: thicknessMm,
    maxRatio: hydrationPercent < STIFF_PERCENT ? STIFF_RATIO : SUPPLE_RATIO,
    springBack,
  })
  const sheet = rolledSheet({
    doughG,
    densityGPerCm3,
    thicknessMm,
    widthMm,
    maxLengthMm,
    cutterPitchMm: 'pitchMm' in cut ? cut.pitchMm : undefined,
  })
  return {
    folds: request.folds ?? usualFolds(hydrationPercent),
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
    stamped:
      'stamp' in cut
        ? stamped({
            sheet: { widthMm, lengthMm: sheet.sheetLengthMm },
            stamp: cut.stamp,
            thicknessMm,
            densityGPerCm3,
            rerolls: REROLLS,
            pickupShare: PICKUP,
          })
        : null,
  }
}
