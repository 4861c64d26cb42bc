/** What stands in the bowl and what is still to come, in the order in which it goes in. */
import type { Plan } from '../model/index.ts'
import { asWeighed, heldFlourG, waterTargets } from './bowl.ts'
import type { BenchState } from './state.ts'
import { weighedFirst, weighedWithWater } from './weighed.ts'

export interface BowlLayer {
  readonly key: string
  readonly name: string
  readonly kind: 'base' | 'flour' | 'water' | 'other'
  readonly grams: number
  readonly isIn: boolean
}

/** Grams as weighed, or as wanted; what is a gram or less is left out. Flour that is held back comes last. */
export function bowlLayers(plan: Plan, state: Pick<BenchState, 'weighedG' | 'pouredG' | 'done'>): readonly BowlLayer[] {
  const isIn = (key: string) =>
    plan.steps.some(
      (step) => step.kind === 'flour' && (step.rows ?? [key]).includes(key) && state.done.includes(step.id),
    )
  const { totalG } = waterTargets(plan, state)
  const heldG = heldFlourG(plan, state)
  const dry = weighedFirst(plan).map((row): BowlLayer => {
    const kind = row.part === 'base' || row.part === 'flour' ? row.part : 'other'
    return { key: row.key, name: row.name, kind, grams: asWeighed(plan, state, row), isIn: isIn(row.key) }
  })
  const wet = weighedWithWater(plan).map((row): BowlLayer => {
    const grams = asWeighed(plan, state, row)
    return {
      key: row.key,
      name: row.name,
      kind: 'other',
      grams,
      isIn: state.pouredG > 0 || state.done.includes('pour'),
    }
  })
  const water: readonly BowlLayer[] = [
    { key: 'poured', name: 'water', kind: 'water', grams: state.pouredG, isIn: true },
    { key: 'to-pour', name: 'water', kind: 'water', grams: Math.max(0, totalG - state.pouredG), isIn: false },
  ]
  const held: BowlLayer = { key: 'held-flour', name: 'flour, held back', kind: 'flour', grams: heldG, isIn: false }
  return [...dry, ...wet, ...water, held].filter(({ grams }) => grams > 1)
}
