import { usableDoughG } from '@harina/core'
import { useUnits } from '#web/ui/units.ts'
import { Note, useBench } from '../StepPage.tsx'

/** What the same dough is also cut into: set aside before the rest is divided. */
export function OtherShapes() {
  const { running } = useBench()
  const { plan } = running.batch
  const { mass } = useUnits()
  if (plan.also.length === 0) return null
  const wholeG = usableDoughG(plan, running.state)
  return (
    <Note title="Set aside, covered">
      {plan.also.map(({ name, share }) => `${mass(share * wholeG, plan.scaleStepG)} for ${name}`).join(', ')}.
    </Note>
  )
}
