import { stepMinutes } from '@harina/core'
import { finishStep } from '#web/state/bench.ts'
import { stepName } from '#web/words/index.ts'
import { StepPage } from '../StepPage.tsx'
import { useBench } from '../view.tsx'
import { InTheBowl } from './BowlRule.tsx'
import { Timed } from './Timed.tsx'

/** A step by its name and its minutes, where it has no sheet of its own. */
export function PlainStep() {
  const { running, step } = useBench()
  const { batch, state } = running
  const { minutes, hands } = stepMinutes(batch.plan, state, step)
  const title = stepName(step)
  if (hands)
    return (
      <StepPage title={title} action={{ label: 'Done, go on', run: () => void finishStep(batch) }}>
        <InTheBowl />
      </StepPage>
    )
  return (
    <Timed
      timer={step.id}
      title={title}
      lead=""
      minutes={Math.max(1, Math.round(minutes))}
      startLabel="Start the clock"
      doneLabel="Done, go on"
      onDone={() => void finishStep(batch, { type: 'timer-stopped', timer: step.id })}
      aside={null}
    />
  )
}
