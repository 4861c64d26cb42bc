/** Which settings of a roller to use, in which order, to thin a sheet without tearing it. */
import { ok, problem, type Result } from '../result.ts'
import { HAIR } from './hair.ts'

export interface PassesRequest {
  /** Measured gaps, in any order. */
  readonly gapsMm: readonly number[]
  readonly startMm: number
  readonly targetMm: number
  /** Thickness before / after that one pass may do; about a third less is 1.5. */
  readonly maxRatio: number
  /** Thickness out / gap. */
  readonly springBack?: number
}

export interface Passes {
  /** Gaps used, in order; none where the sheet is thin enough. */
  readonly sequence: readonly number[]
  /** Thickness before / after, pass by pass. */
  readonly ratios: readonly number[]
  readonly finalMm: number
}

/** The best way to come through a gap: fewest passes, then the gentlest worst one. */
interface Way {
  readonly gapMm: number
  readonly outMm: number
  readonly ratio: number
  readonly passes: number
  readonly worst: number
  readonly from: Way | null
}

const better = (way: Way, than: Way | null): boolean =>
  than === null || way.passes < than.passes || (way.passes === than.passes && way.worst < than.worst - HAIR)

function through(gapMm: number, outMm: number, ways: readonly Way[], startMm: number, maxRatio: number): Way | null {
  const befores = [{ outMm: startMm, passes: 0, worst: 0, from: null }, ...ways.map((way) => ({ ...way, from: way }))]
  return befores.reduce<Way | null>((best, before) => {
    const ratio = before.outMm / outMm
    if (ratio <= 1 + HAIR || ratio > maxRatio + HAIR) return best
    const { from } = before
    const way = { gapMm, outMm, ratio, passes: before.passes + 1, worst: Math.max(before.worst, ratio), from }
    return better(way, best) ? way : best
  }, null)
}

function chain(way: Way | null): readonly Way[] {
  return way === null ? [] : [...chain(way.from), way]
}

/**
 * Ends at the thickest gap whose sheet is not thicker than the target; fewest passes, none over the ratio; among those the one
 * whose largest ratio is smallest, and among equals the thicker settings.
 * Problems: `no-gap-so-thin`, and `pass-too-large` with the step that no setting softens (`fromMm`, `toMm`, `ratio`).
 * @example passes({ gapsMm: [4.8, 3.8, 2.8, 2.1, 1.6, 1.2], startMm: 8, targetMm: 1.2, maxRatio: 1.8 })
 * → { sequence: [4.8, 2.8, 2.1, 1.2] }
 */
export function passes({ gapsMm, startMm, targetMm, maxRatio, springBack = 1 }: PassesRequest): Result<Passes> {
  if (startMm <= targetMm + HAIR) return ok({ sequence: [], ratios: [], finalMm: startMm })
  const gaps = [...new Set(gapsMm)].sort((a, b) => b - a)
  const last = gaps.find((gap) => gap * springBack <= targetMm + HAIR)
  if (last === undefined)
    return problem('no-gap-so-thin', 'gapsMm', { thinnestMm: (gaps.at(-1) ?? 0) * springBack, targetMm })
  const usable = gaps.filter((gap) => gap >= last)
  const ways: Way[] = []
  for (const gap of usable) {
    const way = through(gap, gap * springBack, ways, startMm, maxRatio)
    if (way) ways.push(way)
  }
  const end = ways.find((way) => way.gapMm === last)
  if (!end) return tooLarge(usable, ways, startMm, springBack)
  const steps = chain(end)
  return ok({
    sequence: steps.map((step) => step.gapMm),
    ratios: steps.map((step) => step.ratio),
    finalMm: end.outMm,
  })
}

/** From the thinnest that can be reached to the next setting: the step that nothing softens. */
function tooLarge(usable: readonly number[], ways: readonly Way[], startMm: number, springBack: number): Result<never> {
  const fromMm = Math.min(startMm, ...ways.map((way) => way.outMm))
  const toMm = (usable.find((gap) => gap * springBack < fromMm - HAIR) ?? 0) * springBack
  return problem('pass-too-large', 'maxRatio', { fromMm, toMm, ratio: fromMm / toMm })
}
