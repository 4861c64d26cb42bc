/** Minutes in the pot for the piece as the bench made it: a sheet thinned further cooks sooner. */
import type { Plan } from '../model/index.ts'
import { cookedAt } from '../shape/index.ts'
import { benchPieces } from './bowl.ts'
import type { BenchState } from './state.ts'

type AsMade = Parameters<typeof benchPieces>[1]

/**
 * The plan's minutes, moved by how thick the sheet is now against how thick it was planned. What is baked does not wait for its wall;
 * what is filled waits for its middle, so a thinner skin saves nothing.
 */
export function cookNow(plan: Plan, state: AsMade & Pick<BenchState, 'thinnedMm'>): [number, number] {
  const { cook } = plan.minutes
  const madeMm = (as: AsMade) => benchPieces(plan, as).sheet?.madeMm ?? 1
  const ratio = madeMm(state) / madeMm({ ...state, thinnedMm: null, rolledBy: null })
  if (plan.steps.some((step) => step.kind === 'cook' && step.how === 'bake')) return [...cook]
  return cookedAt(cook, plan.steps.some(({ kind }) => kind === 'fill') ? Math.max(1, ratio) : ratio)
}
