/** Everything at hand before the flour is wet: a list to run a finger down, and the course of what follows. */
import { recordTap, finishStep } from '#web/state/bench.ts'
import { StepPage } from '../StepPage.tsx'
import { Note, useBench, useStep } from '../view.tsx'
import { useUnits } from '#web/ui/units.ts'
import { WhoMixes } from './WhoWorks.tsx'
import { howItGoes, readyWord } from '#web/words/index.ts'

export function ReadyStep() {
  const { running } = useBench()
  const step = useStep('ready')
  const { batch, state } = running
  const worded = useUnits()
  const missing = step.items.filter(({ id }) => !state.ticked.includes(id))
  const begun = missing.length < step.items.length
  return (
    <StepPage
      title="At hand first"
      lead="Get everything out before your hands are floury."
      action={{
        label: begun && missing.length > 0 ? `Go on without ${missing.length}` : 'All at hand, go on',
        run: () => void finishStep(batch),
      }}
      onDigit={(digit) => {
        const item = step.items[digit - 1]
        if (item) void recordTap(batch, { type: 'ticked', item: item.id, on: !state.ticked.includes(item.id) })
      }}
      aside={
        <>
          <div className="border-l-2 border-second pl-3">
            <h2 className="head text-lg leading-tight">How it goes</h2>
            <ol className="list-decimal pl-5 text-label leading-snug text-second">
              {howItGoes(batch.plan, state, worded).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ol>
          </div>
          <Note title="Allergens" grade="caution">
            Flour dust carries gluten to every board and tool. Whoever must not eat it needs other ones, washed, and
            their dough made first.
          </Note>
        </>
      }
    >
      <WhoMixes />
      <ul aria-label="At hand" className="grid gap-x-8 sm:grid-cols-2">
        {step.items.map((item) => {
          const on = state.ticked.includes(item.id)
          return (
            <li key={item.id} className="border-b border-line">
              <button
                type="button"
                aria-pressed={on}
                className="flex min-h-15 w-full items-center gap-4 py-1 text-left"
                onClick={() => void recordTap(batch, { type: 'ticked', item: item.id, on: !on })}
              >
                <span
                  aria-hidden="true"
                  className={`h-6 w-6 shrink-0 border-2 border-ink ${on ? 'bg-ink' : 'bg-transparent'}`}
                />
                <span className="leading-tight">
                  <span className={`text-lg ${on ? 'text-second line-through decoration-1' : ''}`}>
                    {readyWord(item)}
                  </span>
                  {item.instead && <span className="block text-label text-second">or: {item.instead}</span>}
                </span>
              </button>
            </li>
          )
        })}
      </ul>
    </StepPage>
  )
}
