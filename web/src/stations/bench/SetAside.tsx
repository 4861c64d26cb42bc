import { liveTimers } from '@harina/core'
import { format, formatDistanceStrict } from 'date-fns'
import { recordTap } from '../../state/bench.ts'
import { useClock } from '../../ui/useNow.ts'
import { InTheBowl } from './steps/BowlRule.tsx'
import { StepPage } from './StepPage.tsx'
import { Big, Note, useBench } from './view.tsx'
import { stepName } from '../../words/index.ts'

const MINUTE_MS = 60_000

/** A batch that waits for its maker: what it stands at, and what has gone on without them. */
export function SetAside({ paused }: { paused: { readonly at: string; readonly why: string } }) {
  const { running } = useBench()
  const { batch, state, step } = running
  const goingOn = liveTimers(batch.plan, state).length > 0
  return (
    <StepPage
      title="Set aside"
      lead={paused.why || 'It waits where it was.'}
      action={{ label: 'Go on with it', run: () => void recordTap(batch, { type: 'resumed' }) }}
      aside={
        <Note title={goingOn ? 'Rest and pot do not wait' : 'Cover it'}>
          {goingOn
            ? 'Kneading has stopped. A dough that rests, drinks or cooks goes on by its own clock, and rings.'
            : 'A cloth that touches it, or a bowl over it: a skin shows later as streaks.'}
        </Note>
      }
    >
      <Big
        label={`since ${format(paused.at, 'HH:mm')}`}
        figure={useClock((nowMs) =>
          nowMs - Date.parse(paused.at) < MINUTE_MS ? 'just now' : formatDistanceStrict(paused.at, nowMs),
        )}
        unit=""
        small
      />
      {step && <p className="text-lg">It stands at: {stepName(step).toLowerCase()}.</p>}
      <InTheBowl />
    </StepPage>
  )
}
