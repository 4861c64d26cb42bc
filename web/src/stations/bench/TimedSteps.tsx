/** The steps that a clock runs for: knead, rest, cook. */
import { formatCountdown, formatNumber, type TimerId } from '@harina/core'
import { useState, type ReactNode } from 'react'
import { finishStep, recordTap } from '../../state/recordTap.ts'
import { useKitchen } from '../../ui/kitchen.tsx'
import { InTheBowl } from './BowlRule.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { ShapeEngraving } from '../../ui/ShapeEngraving.tsx'
import { Big, Note, StepSheet, useBench } from './StepSheet.tsx'

interface TimedProps {
  readonly timer: TimerId
  readonly title: string
  readonly lead: string
  readonly minutes: number
  readonly startLabel: string
  readonly doneLabel: string
  readonly onDone: (elapsedMin: number) => void
  readonly aside: ReactNode
  readonly children?: ReactNode
}

function Timed({ timer, title, lead, minutes, startLabel, doneLabel, onDone, aside, children }: TimedProps) {
  const { running, nowMs } = useBench()
  const { batch, state } = running
  const [planned, setPlanned] = useState(minutes)
  const clock = state.timers[timer]
  const started = clock !== undefined && clock.stage !== 'stopped'
  const left = clock ? (clock.endsAtMs - nowMs) / 1000 : planned * 60
  const elapsedMin = clock ? Math.max(0, (nowMs - Date.parse(clock.startedAt)) / 60_000) : 0
  const share = clock ? Math.min(1, Math.max(0, 1 - left / (clock.minutes * 60))) : 0
  const move = (by: number) => void recordTap(batch, { type: 'timer-moved', timer, minutes: by })
  return (
    <StepSheet
      title={title}
      lead={lead}
      action={
        started
          ? { label: doneLabel, run: () => onDone(elapsedMin) }
          : { label: startLabel, run: () => void recordTap(batch, { type: 'timer-started', timer, minutes: planned }) }
      }
      second={started ? null : { label: 'Done without the clock', run: () => onDone(0) }}
      aside={aside}
    >
      <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
        <Big
          label={started ? (left < 0 ? 'over by' : 'left') : 'minutes'}
          figure={started ? formatCountdown(left) : formatNumber(planned, 0)}
          unit={started ? '' : 'min'}
        />
        {started ? (
          <div className="flex pb-3">
            {[-1, 1].map((by) => (
              <button key={by} type="button" className="press -ml-px min-w-[92px] text-[20px]" onClick={() => move(by)}>
                {by > 0 ? '+1' : '−1'} min
              </button>
            ))}
          </div>
        ) : (
          <p className="pb-3 text-[17px] text-second">
            set it to{' '}
            <QuantityField
              label={`Minutes, ${title.toLowerCase()}`}
              shown={formatNumber(planned, 0)}
              unit="min"
              min={1}
              max={2880}
              className="text-[30px] font-semibold text-ink"
              widthCh={5}
              onChange={setPlanned}
            />{' '}
            min
          </p>
        )}
      </div>
      {started && (
        <svg
          className="h-4 w-full"
          role="img"
          aria-label={`${Math.round(share * 100)} % of the time gone`}
          preserveAspectRatio="none"
          viewBox="0 0 100 4"
        >
          <rect width="100" height="4" fill="var(--line)" />
          <rect width={share * 100} height="4" fill="var(--semolina)" />
        </svg>
      )}
      {children}
    </StepSheet>
  )
}

export function KneadStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const [low, high] = plan.minutes.knead
  return (
    <Timed
      timer="knead"
      title="Knead"
      lead="Heel of the hand, quarter turns. Stop when it is smooth, whatever the clock says."
      minutes={Math.round((low + high) / 2)}
      startLabel="Start kneading"
      doneLabel="Kneaded, go on"
      onDone={() => void finishStep(running.batch, { type: 'timer-stopped', timer: 'knead' })}
      aside={
        <Note title={`${low} to ${high} minutes by hand`}>
          Still grainy at the end is thirst or haste: cover it half an hour, then knead three minutes more.
        </Note>
      }
    >
      <InTheBowl />
    </Timed>
  )
}

export function RestStep() {
  const { running } = useBench()
  const { low, best, high } = running.batch.plan.minutes.rest
  return (
    <Timed
      timer="rest"
      title="Rest, wrapped"
      lead="Wrapped tight, or under an upturned bowl. Skin on the dough shows later as grey streaks."
      minutes={best}
      startLabel="Start the rest"
      doneLabel="Rested, go on"
      onDone={() => void finishStep(running.batch, { type: 'timer-stopped', timer: 'rest' })}
      aside={
        <>
          <Note title={`At least ${low} minutes`}>
            A dough that springs back has not rested. Past {high / 60} hours it slackens.
          </Note>
          <Note title="Over two hours" grade="caution">
            At room temperature many food codes stop at two hours when you serve others: chill it then, and let it come
            back before rolling. Your local code decides.
          </Note>
        </>
      }
    >
      <InTheBowl />
    </Timed>
  )
}

export function CookStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  const [low, high] = plan.minutes.cook
  const litres = Math.ceil(plan.pot.litres)
  const { mass } = useUnits()
  return (
    <Timed
      timer="cook"
      title="Cook"
      lead={`Start the clock when the boil is back. Taste first at ${low} minutes: ${shape?.doneSign ?? 'no white inside'}.`}
      minutes={Math.max(1, low)}
      startLabel="Boil is back"
      doneLabel="Cooked"
      onDone={(elapsed) =>
        void finishStep(
          running.batch,
          { type: 'timer-stopped', timer: 'cook' },
          ...(elapsed > 0 ? [{ type: 'cooked', minutes: Number(elapsed.toFixed(1)) } as const] : []),
        )
      }
      aside={
        <>
          <Note title={`${litres} L for all of it`}>
            {mass(litres * plan.pot.saltGPerL)} of salt at {plan.pot.saltGPerL} g a litre. In a smaller pot cook it in
            turns, so that the boil comes back within a minute.
          </Note>
          <Note title="Boiling water" grade="caution">
            No more than three quarters full. Lower pieces in on a spider, handles turned in, drain away from you;
            floury pieces foam up fast.
          </Note>
        </>
      }
    >
      <div className="mt-2 flex flex-wrap items-center gap-x-10 gap-y-3 border-t border-line pt-4">
        {shape && <ShapeEngraving shape={shape} width={300} height={190} withScale />}
        <p className="figure text-[26px] leading-snug">
          {plan.shape.name}, fresh:
          <br />
          <span className="text-[44px] font-semibold">
            {low} to {high} min
          </span>
        </p>
      </div>
    </Timed>
  )
}
