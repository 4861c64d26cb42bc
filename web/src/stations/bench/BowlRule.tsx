import { effectivePercent, formatGrams, formatPercent, planWindow, sackFlourG, waterTargets } from '@harina/core'
import { useMemo } from 'react'
import { HydrationRule } from '../../ui/rule/HydrationRule.tsx'
import { ruleRange, type RuleMark } from '../../ui/rule/ruleLayout.ts'
import { useKitchen } from '../../ui/kitchen.tsx'
import { useBench } from './StepSheet.tsx'

/** The rule at the bench: live as water goes in. */
export function BowlRule({ marks: shown = true }: { marks?: boolean }) {
  const { running } = useBench()
  const { plan } = running.batch
  const { state } = running
  const kitchen = useKitchen()
  const value = effectivePercent(plan, state)
  const layout = useMemo(() => {
    const window = planWindow(plan)
    return { window, range: ruleRange([window.low - 9, window.high + 3, plan.hydration.effective]) }
  }, [plan])
  const targets = waterTargets(plan, state)
  const flour = sackFlourG(plan, state)
  const marks = useMemo<readonly RuleMark[]>(
    () =>
      shown
        ? [
            { id: 'start', at: (100 * targets.startG) / flour, kind: 'dashed', label: 'first stop' },
            { id: 'all', at: (100 * targets.totalG) / flour, kind: 'open', label: 'the whole jug' },
          ]
        : [],
    [shown, targets.startG, targets.totalG, flour],
  )
  return (
    <HydrationRule
      family={kitchen?.doughs.get(plan.sheet.dough)?.family ?? 'semolina'}
      from={layout.range.from}
      to={layout.range.to}
      value={value}
      shape={{ label: plan.shape.name, window: layout.window }}
      methods={[]}
      marks={marks}
      label="Water on 100 of flour in the bowl"
    />
  )
}

/** What went into the bowl, and what each did to the hydration. */
export function Trail() {
  const { running } = useBench()
  const { additions } = running.state
  return (
    <ol aria-label="What went in" className="figure flex flex-wrap gap-x-6 gap-y-1 text-[17px] text-second">
      {additions.map((addition, index) => (
        <li key={index}>
          <span className="font-semibold text-ink">
            {formatGrams(addition.grams, addition.grams < 3 ? 0.1 : 1)} g {addition.what}
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
      <h2 className="head text-[20px]">In this dough</h2>
      <BowlRule marks={false} />
      <Trail />
    </div>
  )
}
