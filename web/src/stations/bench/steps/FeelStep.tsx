import { additionOf, FEELS, standingFeel, stepsOf, suggest, waitOf, type Feel, type Suggestion } from '@harina/core'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { useClock } from '#web/ui/useNow.ts'
import { useUnits } from '#web/ui/units.ts'
import { Advice, stepGrams } from './Advice.tsx'
import { BowlRule, Trail } from './BowlRule.tsx'
import { HeldBack } from './HeldBack.tsx'
import { FeelWords } from './FeelWords.tsx'
import { useLooks } from './useLooks.ts'
import { OwnStep } from './OwnStep.tsx'
import { StepPage, type StepAction } from '../StepPage.tsx'
import { useBench } from '../view.tsx'
import { counted, feelTest, stepName } from '#web/words/index.ts'

/** What can be done now: the answer to the word, and beside it the other answer. */
function useAnswers(
  feel: Feel | null,
  suggestion: Suggestion | null,
): { action: StepAction; second: StepAction | null } {
  const { running, step: shown } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const worded = useUnits()
  const minutes = suggestion?.wait?.minutes ?? plan.minutes.drink
  const cover: StepAction = {
    label: `Cover ${minutes} min`,
    run: () => void recordTap(batch, { type: 'timer-started', timer: 'drink', minutes }),
  }
  const step = suggestion?.step ?? null
  const add: StepAction | null = step && {
    label: `Add ${stepGrams(step, worded, plan)}`,
    run: () => void recordTap(batch, additionOf(plan, state, step.what, step.grams)),
  }
  const leave: StepAction = {
    label: 'Leave it so',
    run: () => void finishStep(batch, { type: 'felt', feel: 'right' }),
  }
  const covered = useClock((nowMs) => waitOf(plan, state, shown, nowMs) !== null)
  const steps = stepsOf(plan, state)
  const next = steps[steps.findIndex(({ kind }) => kind === 'feel') + 1]
  if (feel === 'right')
    return {
      action: { label: next ? `Right: ${stepName(next).toLowerCase()}` : 'Right', run: () => void finishStep(batch) },
      second: null,
    }
  const anyway = add && { ...add, label: `${add.label} anyway` }
  if (covered)
    return {
      action: { label: feel ? 'Covered, wait' : 'Say how it feels', run: () => undefined, disabled: true },
      second: anyway,
    }
  if (suggestion?.wait) return { action: cover, second: anyway }
  if (add) return { action: add, second: leave }
  return { action: cover, second: null }
}

export function FeelStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const looks = useLooks(plan)
  const feel = standingFeel(state)
  const suggestion = useClock((nowMs) => feel && suggest(plan, state, feel, nowMs))
  const { action, second } = useAnswers(feel, suggestion)
  // Right needs nothing more said: the dough goes on.
  const say = (feel: Feel) =>
    void (feel === 'right' ? finishStep(batch, { type: 'felt', feel }) : recordTap(batch, { type: 'felt', feel }))
  const advice = <Advice feel={feel} suggestion={suggestion} />
  return (
    <StepPage
      title="How does it feel?"
      lead={`${feelTest(plan)} Cover it for ${counted(plan.minutes.drink, 'minute')}, then judge.`}
      action={action}
      second={second}
      onDigit={(digit) => FEELS[digit - 1] && say(FEELS[digit - 1] as Feel)}
      aside={<div className="hidden lg:contents">{advice}</div>}
    >
      <BowlRule />
      <FeelWords chosen={feel} looks={looks} onSay={say} />
      <div className="lg:hidden">{advice}</div>
      <HeldBack />
      <Trail />
      <OwnStep onAdd={(what, grams) => void recordTap(batch, additionOf(plan, state, what, grams))} />
    </StepPage>
  )
}
