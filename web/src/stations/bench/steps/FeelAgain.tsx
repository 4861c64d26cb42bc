/** The feel while a dough is worked: the family's own sign to stop at, and the five words for whoever doubts it. */
import { additionOf, standingFeel, suggest, type Feel } from '@harina/core'
import { useState } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { useClock } from '#web/ui/useNow.ts'
import { useUnits } from '#web/ui/units.ts'
import { useBench } from '../view.tsx'
import { Advice, stepGrams } from './Advice.tsx'
import { FeelWords } from './FeelWords.tsx'
import { useLooks } from './useLooks.ts'

export function FeelAgain() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const worded = useUnits()
  const looks = useLooks(plan)
  const [open, setOpen] = useState(false)
  const feel = open ? standingFeel(state) : null
  const suggestion = useClock((nowMs) => feel && suggest(plan, state, feel, nowMs))
  const say = (word: Feel) => void recordTap(batch, { type: 'felt', feel: word })
  const step = suggestion?.step
  return (
    <section aria-label="Feel it again" className="border-t border-line pt-3">
      <p className="text-lg leading-snug">
        <span className="head">Right</span> is: {looks?.right ?? 'smooth, and it springs back slowly'}.{' '}
        <button type="button" className="quiet text-base" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Enough' : 'Not there yet'}
        </button>
      </p>
      {open && (
        <div className="mt-2 flex flex-col gap-3">
          <FeelWords chosen={feel} looks={looks} onSay={say} />
          <Advice feel={feel} suggestion={suggestion} />
          {step && (
            <button
              type="button"
              className="press min-h-14 self-start px-5"
              onClick={() => void recordTap(batch, additionOf(plan, state, step.what, step.grams))}
            >
              Add {stepGrams(step, worded, running.batch.plan)}
              {suggestion?.wait ? ' anyway' : ''}
            </button>
          )}
        </div>
      )}
    </section>
  )
}
