/** By hand or by machine: said once a batch, at the first step that asks. */
import { mixing, type Worker } from '@harina/core'
import { recordTap } from '#web/state/bench.ts'
import { capital, workerWords } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

interface Props {
  readonly label: string
  readonly by: Worker
  /** With what is told beside each, as its minutes. */
  readonly choices: readonly (readonly [Worker, string?])[]
}

export function WhoWorks({ label, by, choices }: Props) {
  const { running } = useBench()
  if (choices.length < 2) return null
  return (
    <div role="group" aria-label={label} className="flex">
      {choices.map(([id, told]) => (
        <button
          key={id}
          type="button"
          aria-pressed={by === id}
          className="press -ml-px min-h-13 flex-1 first:ml-0"
          onClick={() => void recordTap(running.batch, { type: 'worked-by', by: id })}
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
