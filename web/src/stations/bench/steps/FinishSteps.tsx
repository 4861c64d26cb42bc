/** What becomes of shaped pieces: the pot, the fridge or the rack. */
import { addDays, format } from 'date-fns'
import { DRIED_MOISTURE, benchPieces, driedG, formatNumber, formatPercent, type Finish } from '@harina/core'
import { useState } from 'react'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { useKitchen } from '#web/state/select.ts'
import { ShapeEngraving } from '#web/ui/ShapeEngraving.tsx'
import { useUnits } from '#web/ui/units.ts'
import { Big, Note, StepPage, useBench, useStep } from '../StepPage.tsx'

const finishLabel: Readonly<Record<Finish, string>> = {
  cook: 'To the pot',
  hold: 'Into the fridge',
  dry: 'On the rack',
}

export function ThenStep() {
  const { running, nowMs } = useBench()
  const step = useStep('then')
  const { batch, state } = running
  const [chosen, setChosen] = useState<Finish>(state.finish ?? 'cook')
  const shape = useKitchen()?.shapes.get(batch.plan.shape.id)
  const made = benchPieces(batch.plan, state)
  const { mass } = useUnits()
  const clock = state.timers[step.id]
  const [low, high] = step.minutes
  const openMin = clock ? (nowMs - Date.parse(clock.startedAt)) / 60_000 : null
  const inTheAir = low > 0 ? `${low} to ${high} minutes` : `up to ${high} minutes`
  const choices: readonly (readonly [Finish, string])[] = [
    ['cook', `after ${inTheAir} in the air`],
    ...(step.fridgeDays > 0
      ? [
          [
            'hold',
            `dusted, covered, ${formatNumber(step.fridgeDays, 0)} ${step.fridgeDays === 1 ? 'day' : 'days'} at most`,
          ] as const,
        ]
      : []),
    ...(step.dries ? [['dry', 'for months, once they are dry through'] as const] : []),
  ]
  return (
    <StepPage
      title="Pot, fridge or rack?"
      lead="Spread on trays, none on another. A skin that has dried a little keeps its shape in the pot."
      action={{
        label: finishLabel[chosen],
        run: () =>
          void finishStep(
            batch,
            ...(clock?.stage === 'running' ? [{ type: 'timer-stopped', timer: step.id } as const] : []),
            { type: 'finish-chosen', finish: chosen },
          ),
      }}
      second={
        low > 0 && !clock
          ? {
              label: `Time ${low} min of air`,
              run: () => void recordTap(batch, { type: 'timer-started', timer: step.id, minutes: low }),
            }
          : null
      }
      onDigit={(digit) => {
        const at = choices[digit - 1]
        if (at) setChosen(at[0])
      }}
      aside={
        <>
          <Note title={openMin === null ? `In the air ${inTheAir}` : `${formatNumber(openMin, 0)} minutes in the air`}>
            Past {high} minutes the rims dry and crack: cover them, or go one way or the other.
          </Note>
          <Note title="Two hours" grade="caution">
            Fresh dough at room heat for longer than two hours is for the bin where you serve others; your local code
            may say sooner.
          </Note>
        </>
      }
    >
      <div role="group" aria-label="What becomes of them" className="grid gap-0 sm:grid-cols-3">
        {choices.map(([finish, words], index) => (
          <button
            key={finish}
            type="button"
            aria-pressed={chosen === finish}
            className="press -mt-px -ml-px flex min-h-26 flex-col items-start justify-center gap-1 px-4 text-left"
            onClick={() => setChosen(finish)}
          >
            <span>
              <span className="figure mr-2 text-label opacity-75">{index + 1}</span>
              <span className="head text-3xl">{finishLabel[finish]}</span>
            </span>
            <span className="text-base leading-snug">{words}</span>
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-x-12 gap-y-4 border-t border-line pt-4">
        {shape && <ShapeEngraving shape={shape} width={360} height={220} withScale />}
        <p className="figure text-3xl leading-snug">
          {formatNumber(state.shapedPieces ?? made.pieces, 0)} × {batch.plan.shape.name}
          <br />
          <span className="text-5xl font-semibold">{mass(made.usableG, batch.plan.scaleStepG)}</span>
        </p>
      </div>
    </StepPage>
  )
}

/** When the step before was finished: the moment the trays went in. */
function useSince(): Date {
  const { running } = useBench()
  const chosen = running.batch.events.filter((event) => event.type === 'finish-chosen').at(-1)
  return new Date(chosen?.at ?? running.batch.plan.at)
}

export function HoldStep() {
  const { running } = useBench()
  const { batch } = running
  const { plan } = batch
  const then = plan.steps.find((step) => step.kind === 'then')
  const days = then?.fridgeDays ?? 1
  const since = useSince()
  const until = addDays(since, days)
  return (
    <StepPage
      title="Kept in the fridge"
      lead={`Since ${format(since, 'EEEE HH:mm')}. Open for the first hour, then covered; turned once, so that none sticks.`}
      action={{ label: 'Out, to the pot', run: () => void finishStep(batch) }}
      aside={
        <>
          <Note title="Straight into the boil">
            From the fridge they need no warming; half a minute longer in the pot.
          </Note>
          <Note title="Keeping" grade="caution">
            At 5 °C or below, away from raw meat. Sour, grey or slimy is thrown away. A shorter limit of your code or
            your filling wins.
          </Note>
        </>
      }
    >
      <Big label="use until" figure={format(until, 'EEE d MMM')} unit="" small />
      <p className="text-lg">
        {formatNumber(days, 0)} {days === 1 ? 'day' : 'days'} at most. Write it on the tray: {plan.shape.name},{' '}
        {format(since, 'd MMM, HH:mm')}.
      </p>
    </StepPage>
  )
}

export function DryStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { massFigure, mass, units } = useUnits()
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  const freshG = benchPieces(plan, state).usableG
  return (
    <StepPage
      title="On the rack"
      lead="One layer, none touching, air from all sides. Weigh one tray empty and full: its weight says when it is dry."
      action={{ label: 'On the rack, go on', run: () => void finishStep(batch) }}
      aside={
        <>
          <Note title="Slow outside, then the middle">
            A fan straight at them cracks them days later. Damp air above 57 % never dries them through: move the rack.
          </Note>
          <Note title="Packed damp, it moulds" grade="caution">
            Warm and wet is where moulds and worse grow: past a day and still bending, throw it away. A dried piece
            snaps with a glassy break. Your local code decides what may be sold dried.
          </Note>
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="now" figure={massFigure(freshG, plan.scaleStepG)} unit={units.mass} />
        <Big
          label={`dry, at ${formatPercent(100 * DRIED_MOISTURE)} %`}
          figure={massFigure(driedG(plan, state, freshG), plan.scaleStepG)}
          unit={units.mass}
          small
        />
      </div>
      <p className="max-w-184 text-lg leading-snug">
        Of every {mass(100)} on the tray, {mass(driedG(plan, state, 100), 0.1)} are left when it is dry enough to keep.
        {shape?.keep.driedMonths && ` Then it keeps about ${shape.keep.driedMonths} months, dry and dark.`}
      </p>
      {shape && <ShapeEngraving shape={shape} width={360} height={220} withScale />}
    </StepPage>
  )
}
