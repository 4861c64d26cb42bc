/** What becomes of shaped pieces: the pot, the fridge, the freezer or the rack. */
import { countedOf, formatNumber, madeG, offeredAir, type Finish, type StepOf } from '@harina/core'
import { useState } from 'react'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { ShapeEngraving } from '#web/ui/ShapeEngraving.tsx'
import { useNow } from '#web/ui/useNow.ts'
import { useUnits } from '#web/ui/units.ts'
import { counted, capital, hoursWords, driedWords, monthsWords, wetWords } from '#web/words/index.ts'
import { useMadeShape } from '../useMadeShape.ts'
import { StepPage } from '../StepPage.tsx'
import { Note, useBench, useStep } from '../view.tsx'
import { useDoughLeft, useLeftForStep, usePiecesLeft } from '../WarmLeft.tsx'

type Choice = readonly [finish: Finish, label: string, words: string]

const into: Readonly<Record<StepOf<'cook'>['how'], string>> = {
  boil: 'To the pot',
  bake: 'Into the oven',
  pan: 'To the pan',
  steam: 'To the steamer',
}

function choicesOf(
  [low, high]: readonly [number, number],
  { keeps }: StepOf<'air'>,
  cook: StepOf<'cook'> | undefined,
  fridgeH: number,
): readonly Choice[] {
  const inTheAir =
    high === 0 ? 'at once' : low > 0 ? `after ${low} to ${high} minutes in the air` : `within ${high} minutes`
  return [
    ...(cook ? [['cook', into[cook.how], inTheAir] as const] : []),
    ...(fridgeH > 0 ? [['hold', 'Into the fridge', `dusted, covered, ${hoursWords(fridgeH)} at most`] as const] : []),
    ...(keeps.freezerMonths > 0
      ? [['freeze', 'Into the freezer', `flat on a tray, then bagged, ${monthsWords(keeps.freezerMonths)}`] as const]
      : []),
    ...(keeps.driedMonths === null
      ? []
      : [['dry', 'On the rack', `dried through, keeps ${driedWords(keeps)}`] as const]),
  ]
}

/** Why the rack is not among the choices; nothing where it is, or where the table has none for the shape. */
function NotTheRack({ keeps }: Pick<StepOf<'air'>, 'keeps'>) {
  const wet = wetWords(keeps)
  if (!wet) return null
  return (
    <Note title="Not for the rack" grade="caution">
      {capital(wet)}: never dried in room air. Cook, chill or freeze; your local code comes first.
    </Note>
  )
}

function InTheAir({ minutes: [low, high], openMin }: { minutes: readonly [number, number]; openMin: number | null }) {
  if (high === 0) return null
  const planned = `In the air ${low > 0 ? `${low} to ${high}` : `up to ${high}`} minutes`
  return (
    <Note title={openMin === null ? planned : `${counted(openMin, 'minute')} in the air`}>
      Past {high} minutes the rims dry and crack: cover, cook or chill them.
    </Note>
  )
}

interface WaysProps {
  readonly choices: readonly Choice[]
  readonly picked: Finish | undefined
  readonly onPick: (finish: Finish) => void
}

function Ways({ choices, picked, onPick }: WaysProps) {
  return (
    <div
      role="group"
      aria-label="What next?"
      className={`grid gap-0 sm:grid-cols-2 ${choices.length > 3 ? 'xl:grid-cols-4' : 'lg:grid-cols-3'}`}
    >
      {choices.map(([finish, label, words], index) => (
        <button
          key={finish}
          type="button"
          aria-pressed={picked === finish}
          className="press -mt-px -ml-px flex min-h-26 flex-col items-start justify-center gap-1 px-4 text-left"
          onClick={() => onPick(finish)}
        >
          <span>
            <span className="figure mr-2 text-label opacity-75">{index + 1}</span>
            <span className="head text-2xl">{label}</span>
          </span>
          <span className="text-base leading-snug">{words}</span>
        </button>
      ))}
    </div>
  )
}

export function AirStep() {
  const { running } = useBench()
  const step = useStep('air')
  const { batch, state } = running
  const cook = batch.plan.steps.find((each): each is StepOf<'cook'> => each.kind === 'cook')
  const left = usePiecesLeft()
  const warmMin = Math.floor(left.roomLeftMin)
  const doughMin = useDoughLeft().roomLeftMin
  const fridgeH = Math.floor(left.fridgeLeftH)
  const minutes = offeredAir(step, useLeftForStep())
  const choices = choicesOf(minutes, step, cook, fridgeH)
  const [picked, setPicked] = useState<Finish | null>(state.finish)
  const chosen = choices.find(([finish]) => finish === picked) ?? choices[0]
  const shape = useMadeShape(batch.plan)
  const all = countedOf(batch.plan, state)
  const { mass } = useUnits()
  const clock = state.timers[step.id]
  const [low, high] = minutes
  const nowMs = useNow(10_000)
  const openMin = clock ? Math.max(0, nowMs - Date.parse(clock.startedAt)) / 60_000 : null
  return (
    <StepPage
      title={choices.length > 1 ? whichWords(choices.map(([finish]) => places[finish])) : 'Made'}
      lead={
        high > 0
          ? 'Spread on trays, none on another. A skin that has dried a little keeps its shape in the pot.'
          : 'Spread on trays, none on another, and covered.'
      }
      action={{
        label: chosen?.[1] ?? 'Go on',
        run: () =>
          void finishStep(
            batch,
            ...(clock?.stage === 'running' ? [{ type: 'timer-stopped', timer: step.id } as const] : []),
            ...(chosen ? [{ type: 'finish-chosen', finish: chosen[0] } as const] : []),
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
        if (at) setPicked(at[0])
      }}
      aside={
        <>
          <InTheAir minutes={minutes} openMin={openMin} />
          {warmMin > 0 ? (
            <Note title={`${counted(warmMin, 'minute')} left at room heat`} grade="caution">
              Then cook, chill or freeze them. Every warm minute from mixing on counts. Your local code may say sooner.
            </Note>
          ) : step.keeps.roomMin === 0 && doughMin > 0 ? (
            <Note title="Do not let them wait" grade="caution">
              This shape does not keep at room heat. Cook, chill or dry it now.
            </Note>
          ) : (
            <Note title="The pieces have been warm too long" grade="caution">
              Cook them now for yourself, or throw them away; do not keep, dry or serve them.
            </Note>
          )}
          <NotTheRack keeps={step.keeps} />
        </>
      }
    >
      <Ways choices={choices} picked={chosen?.[0]} onPick={setPicked} />
      <div className="flex flex-wrap items-center gap-x-12 gap-y-4 border-t border-line pt-4">
        {shape && <ShapeEngraving shape={shape} width={360} height={220} withScale />}
        <p className="figure text-3xl leading-snug">
          {all.unit === 'piece'
            ? `${formatNumber(all.count, 0)} × ${batch.plan.shape.name}`
            : `${batch.plan.shape.name}, ${counted(all.count, 'portion')}`}
          <br />
          <span className="text-5xl font-semibold">{mass(madeG(batch.plan, state), batch.plan.scaleStepG)}</span>
        </p>
      </div>
    </StepPage>
  )
}

const places: Readonly<Record<Finish, string>> = { cook: 'pot', hold: 'fridge', freeze: 'freezer', dry: 'rack' }

/** @example Pot, fridge or rack? */
function whichWords(all: readonly string[]): string {
  return capital(`${all.slice(0, -1).join(', ')} or ${all.at(-1)}?`)
}
