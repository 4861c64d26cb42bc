import { plainTextFrom, VERDICTS, type Verdict } from '@harina/core'
import { useNavigate } from 'react-router'
import { recordTap, undoEnded } from '#web/state/bench.ts'
import { notify } from '#web/state/notify.ts'
import { InTheBowl } from './BowlRule.tsx'
import { StepPage } from '../StepPage.tsx'
import { Note, useBench } from '../view.tsx'
import { useKeptNote } from './useKeptNote.ts'
import { batchTitle, verdictWords } from '#web/words/index.ts'

export function VerdictStep() {
  const { running } = useBench()
  const { batch, state } = running
  const navigate = useNavigate()
  const note = useKeptNote(batch)
  const judge = (verdict: Verdict) => void recordTap(batch, { type: 'judged', verdict })
  const close = async () => {
    const isWritten =
      (await note.keep()) && (await recordTap(batch, { type: 'step-done', step: 'verdict' }, { type: 'closed' }))
    if (!isWritten) return
    notify(`${batchTitle(batch)} is in the log`, {
      action: {
        label: 'Undo',
        onClick: () => void undoEnded(batch.id).then((isOpen) => isOpen && navigate(`/bench/${batch.id}`)),
      },
    })
    void navigate(`/log/${batch.id}`)
  }
  return (
    <StepPage
      title={state.finish === 'dry' ? 'How did it come out?' : 'How was it to eat?'}
      lead={
        state.split
          ? 'Rate this part, or leave it: it then takes the rating of its dough.'
          : 'Rate it now, while you remember.'
      }
      action={{
        label: 'Write in the log',
        run: () => void close(),
        disabled: state.verdict === null && state.split === null,
      }}
      onDigit={(digit) => VERDICTS[digit - 1] && judge(VERDICTS[digit - 1] as Verdict)}
      aside={
        <Note title="What Harina remembers">
          {batch.plan.control.by === 'base'
            ? 'How much flour this base took, and how good it was. You can start the next batch from this one.'
            : 'How much water this flour wanted. The next plan starts from there.'}
        </Note>
      }
    >
      <div role="group" aria-label="Verdict" className="grid grid-cols-2 md:grid-cols-4">
        {VERDICTS.map((verdict, index) => (
          <button
            key={verdict}
            type="button"
            aria-pressed={state.verdict === verdict}
            className="press -mt-px -ml-px min-h-21"
            onClick={() => judge(verdict)}
          >
            <span className="figure mr-2 text-label opacity-75">{index + 1}</span>
            <span className="head text-2xl">{verdictWords[verdict]}</span>
          </button>
        ))}
      </div>
      <label className="flex flex-col gap-1 text-md">
        <span className="text-second">Notes: what you would do again, or not</span>
        <textarea
          className="box min-h-35 text-lg"
          value={note.text}
          onChange={(event) => note.write(plainTextFrom(event.target.value, 4000))}
          onBlur={() => void note.keep()}
        />
      </label>
      <InTheBowl />
    </StepPage>
  )
}
