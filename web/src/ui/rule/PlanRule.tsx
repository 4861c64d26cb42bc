import { plannedOnRule, planWindow, type Plan } from '@harina/core'
import { useMemo } from 'react'
import { useFamily } from '../../state/select.ts'
import { HydrationRule } from './HydrationRule.tsx'
import { ruleRange, type RuleMark } from './ruleLayout.ts'

interface Props {
  readonly plan: Plan
  /** Where the bowl stands on its own rule, percent. */
  readonly value: number
  readonly marks: readonly RuleMark[]
  /** What else the scale must have room for, percent. */
  readonly room: readonly number[]
  readonly label: string
}

/** The rule of a batch: its shape's window as it lay when the batch began, and where the bowl stands against it. */
export function PlanRule({ plan, value, marks, room, label }: Props) {
  const family = useFamily(plan)
  const window = useMemo(() => planWindow(plan), [plan])
  const range = ruleRange([window.low, window.high, value, plannedOnRule(plan), ...room])
  return (
    <HydrationRule
      family={family}
      from={range.from}
      to={range.to}
      value={value}
      shape={{ label: plan.shape.name, window }}
      methods={[]}
      marks={marks}
      label={label}
    />
  )
}
