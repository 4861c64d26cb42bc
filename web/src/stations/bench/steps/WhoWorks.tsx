/** By hand or by machine: said once a batch, at the first step that asks. */
import { clockMinutes, mixing, type StepOf, type Worker } from '@harina/core'
import { recordTap } from '#web/state/bench.ts'
import { capital, workerWords } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

/** Kneading is never cut short by what a dough may lie. */
const NO_LIMIT = { roomLeftMin: Infinity, fridgeLeftH: Infinity }

interface Props {
  readonly label: string
  readonly by: Worker
  /** With what is told beside each, as its minutes. */
  readonly choices: readonly (readonly [Worker, string?])[]
  /** What is worked, where its clock may run by now: it is then set to what the other takes. */
  readonly of?: StepOf<'knead'>
}

export function WhoWorks({ label, by, choices, of: step }: Props) {
  const { running } = useBench()
  const { batch, state } = running
  const choose = (id: Worker) => {
    const clock = step && state.timers[step.id]
    const other = { ...state, workedBy: id }
    const minutes = clock?.stage === 'running' ? clockMinutes(batch.plan, other, step!, NO_LIMIT) - clock.minutes : 0
    void recordTap(
      batch,
      { type: 'worked-by', by: id },
      ...(minutes === 0 ? [] : [{ type: 'timer-moved', timer: step!.id, minutes } as const]),
    )
  }
  if (choices.length < 2) return null
  return (
    <div role="group" aria-label={label} className="flex">
      {choices.map(([id, told]) => (
        <button
          key={id}
          type="button"
          aria-pressed={by === id}
          className="press -ml-px min-h-13 flex-1 first:ml-0"
          onClick={() => choose(id)}
        >
          {capital(workerWords[id])}
          {told && `, ${told}`}
        </button>
      ))}
    </div>
  )
}

/** Where it begins: who mixes and kneads this batch. */
export function WhoMixes() {
  const { running } = useBench()
  const { by, can } = mixing(running.batch.plan, running.state)
  return <WhoWorks label="Who mixes it" by={by} choices={can.map((id) => [id])} />
}
