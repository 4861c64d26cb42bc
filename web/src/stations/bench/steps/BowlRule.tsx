import { bowlOnRule, firstPour, formatPercent, heldBack, planWindow, withHeldBack } from '@harina/core'
import { PlanRule } from '#web/ui/rule/PlanRule.tsx'
import { useUnits } from '#web/ui/units.ts'
import { ruleLabel } from '#web/ui/rule/ruleLabel.ts'
import type { RuleMark } from '#web/ui/rule/ruleLayout.ts'
import { liquidName, whatWords } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

/** How far left of its window the rule begins at the bench, points: where a bowl stands before the hold-back. */
const LEAD_POINTS = 9

/** The rule at the bench: live as water goes in. */
export function BowlRule({ marks = true }: { marks?: boolean }) {
  const { running } = useBench()
  const { state } = running
  const { plan } = running.batch
  const onBase = plan.control.by === 'base'
  const flourWaits = heldBack(plan, state)?.what === 'flour'
  const allTheLiquid = `all of the ${liquidName(plan)}`
  const stops: readonly RuleMark[] = [
    {
      id: 'start',
      at: firstPour(plan, state),
      kind: 'dashed',
      label: onBase ? 'first flour' : flourWaits ? allTheLiquid : 'first pour',
    },
    {
      id: 'all',
      at: withHeldBack(plan, state),
      kind: 'open',
      label: flourWaits ? 'all the flour' : allTheLiquid,
    },
  ]
  return (
    <PlanRule
      plan={plan}
      value={bowlOnRule(plan, state)}
      marks={marks && heldBack(plan, state) ? stops : []}
      room={[planWindow(plan).low - LEAD_POINTS]}
      label={ruleLabel(plan, 'in the bowl')}
    />
  )
}

/** What went into the bowl, and what each did to the hydration. */
export function Trail() {
  const { running } = useBench()
  const { additions } = running.state
  const { mass } = useUnits()
  return (
    <ol aria-label="What went in" className="figure flex flex-wrap gap-x-6 gap-y-1 text-md text-second">
      {additions.map((addition, index) => (
        <li key={index}>
          <span className="font-semibold text-ink">
            {mass(addition.grams, addition.grams < 3 || (addition.grams < 10 && addition.grams % 1 !== 0) ? 0.1 : 1)}{' '}
            {whatWords(addition.what, running.batch.plan)}
          </span>{' '}
          {formatPercent(addition.from)} → {formatPercent(addition.to)}
        </li>
      ))}
    </ol>
  )
}

/** What is in the dough while it is worked, rests or is eaten. */
export function InTheBowl() {
  return (
    <div className="mt-2 flex flex-col gap-2 border-t border-line pt-4">
      <h2 className="head text-xl">In this dough</h2>
      <BowlRule marks={false} />
      <Trail />
    </div>
  )
}
