/** How a dough goes up to where it is shaped, from its own steps: nothing is told that the steps do not do. */
import {
  formatNumber,
  kneading,
  mixing,
  pourGo,
  waterTargets,
  type BenchState,
  type Plan,
  type PlannedStep,
} from '@harina/core'
import { kneadTitle, pourLead, prepareWords, workerWords } from './benchSteps.ts'
import { liquidName } from './liquid.ts'
import { stepName } from './steps.ts'
import { restSpanWords } from './keeping.ts'
import { kneadSpan } from './units.ts'

export interface Told {
  readonly mass: (grams: number, stepG?: number) => string
  readonly temperature: (celsius: number) => string
}

const firstSentence = (text: string): string => text.split(/(?<=[^.]{8})\. /)[0]!.replace(/\.$/, '')

export function stepLines(
  step: PlannedStep,
  plan: Plan,
  state: BenchState,
  { mass, temperature }: Told,
): readonly string[] {
  switch (step.kind) {
    case 'prepare':
      return [prepareWords[step.what].title]
    case 'flour':
      return step.id === 'flour' ? [] : ['Add the other flour']
    case 'pour': {
      const { leftG } = pourGo(plan, state, step)
      if (step.how === 'soak') return [`${mass(leftG, plan.scaleStepG)} of ${liquidName(plan)} onto the semolina alone`]
      const { startG, holdBackG } = waterTargets(plan, state)
      // What the semolina has had is told before.
      const soak = plan.steps.find((each) => each.kind === 'pour' && each.how === 'soak')
      const had = soak?.kind === 'pour' ? (soak.goes[0] ?? 0) : 0
      const goes = pourGo(plan, state, step).of - (had > 0 ? 1 : 0)
      const toPourG = startG * (1 - had)
      const held = holdBackG > 0 ? `; keep ${mass(holdBackG, plan.scaleStepG)} back` : ''
      const poured =
        startG > 0
          ? `${mass(toPourG, plan.scaleStepG)} ${had > 0 ? 'more' : 'of'} ${liquidName(plan)}`
          : 'What is poured'
      return [
        `${poured}${goes > 1 ? `, in ${formatNumber(goes, 0)} goes` : ''}${held}`,
        firstSentence(pourLead(step, mixing(plan, state).by)),
      ]
    }
    case 'cool':
      return [`Let it cool below ${temperature(step.belowC)}`]
    case 'drink':
      return [`${step.of ? 'Let it soak' : 'Cover it'} ${step.minutes[0]} to ${step.minutes[1]} min`]
    case 'feel':
      return ['Feel it, and judge']
    case 'knead': {
      const { by, minutes } = kneading(plan, state, step)
      return [`${kneadTitle(step)}, ${kneadSpan(minutes)} ${workerWords[by]}`]
    }
    case 'rest':
      // What is shaped is not on the way to where it is shaped.
      if (step.of === 'pieces') return []
      return [`${step.cold ? 'Rest in the fridge' : 'Rest, covered'}: ${restSpanWords(step.low, step.high)}`]
    case 'fold':
    case 'spread':
    case 'temper':
    case 'thaw':
      return [stepName(step)]
    default:
      return []
  }
}

/** @example 366 g of water; 41 g stay back — Pulse the dry things first, to mix them — Feel it, and judge — Knead, 45 to 90 s in the processor */
export const howItGoes = (plan: Plan, state: BenchState, told: Told): readonly string[] =>
  plan.steps.flatMap((step) => stepLines(step, plan, state, told))
