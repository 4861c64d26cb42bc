/** Pieces weighed now and then while shaping: are they even, does the hand drift, and what the pot will make of it. */
import { evenness, type Evenness } from './evenness.ts'
import type { Blank, Plan } from '../model/index.ts'
import type { BenchState } from './state.ts'

/** A piece further from the reference than this is told of. Percent. */
export const PIECE_TOLERANCE_PERCENT = 10

export interface SampleReport extends Evenness {
  readonly grams: readonly number[]
  readonly targetG: number
  /** Where the hand stands now, weighted towards the last pieces, over the reference. Percent. */
  readonly offPercent: number
  /** Cut so long, and pieces weigh what the reference weighs; null where length is not what is cut. */
  readonly cutMm: number | null
  /** How much longer the heaviest want in the pot than the lightest, min; null until two are weighed. */
  readonly potSpreadMin: number | null
}

/** How thickness goes with mass where the other sizes are kept: a rope grows round, a sheet grows thick, a die keeps its wall. */
function thicknessPower({ type }: Blank): number {
  switch (type) {
    case 'sheet':
    case 'disc':
      return 1
    case 'die':
      return 0
    default:
      return 0.5
  }
}

/**
 * Null until a piece was weighed. The spread in the pot takes fresh cooking time as in proportion to thickness, between the
 * pieces two standard deviations to either side: a rule of thumb.
 * @example 1 g pieces with sd 0.1 g from a rope, 6 min: √(1.2/0.8) − 1 = 0.225 → 1.3 min
 */
export function sampleReport(plan: Plan, { samples }: Pick<BenchState, 'samples'>): SampleReport | null {
  const grams = samples.map((sample) => sample.grams)
  const last = grams.at(-1)
  const targetG = plan.shape.pieceG
  if (last === undefined || targetG <= 0) return null
  const report = evenness({ grams, targetG, tolerancePercent: PIECE_TOLERANCE_PERCENT })
  const now = report.ewma.at(-1) ?? targetG
  const { blank } = plan.shape
  const { mean, sd } = report
  const [low, high] = plan.minutes.cook
  const lightest = sd === null ? 0 : Math.max(mean / 4, mean - 2 * sd)
  return {
    ...report,
    grams,
    targetG,
    offPercent: 100 * (now / targetG - 1),
    cutMm: blank.type === 'rope' && now > 0 ? (blank.cutMm * targetG) / now : null,
    potSpreadMin: sd === null ? null : ((low + high) / 2) * (((mean + 2 * sd) / lightest) ** thicknessPower(blank) - 1),
  }
}
