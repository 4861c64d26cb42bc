/** What waits beside the bowl: plain water, or flour for a base. Some of it, half or all goes in by one tap. */
import { additionOf, heldBack, roundHalfUp } from '@harina/core'
import { recordTap } from '#web/state/bench.ts'
import { useUnits } from '#web/ui/units.ts'
import { calledWords, pouredRow, whatWords } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

const PARTS = [
  ['a quarter', 1 / 4],
  ['half', 1 / 2],
  ['all of it', 1],
] as const

export function HeldBack() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { mass, units } = useUnits()
  const held = heldBack(plan, state)
  if (!held) return null
  const { what, leftG } = held
  const words = (grams: number) =>
    what === 'water' ? calledWords(plan, pouredRow(plan), grams, units) : mass(grams, plan.scaleStepG)
  const gramsOf = (part: number) => (part === 1 ? leftG : roundHalfUp(leftG * part, plan.scaleStepG))
  if (leftG < plan.scaleStepG)
    return <p className="text-md text-second">All {whatWords(what, plan)} that was held back is in.</p>
  return (
    <div role="group" aria-label="Used of what is held back" className="flex flex-wrap items-center gap-x-3 gap-y-2">
      <span className="text-md">
        <span className="figure text-3xl font-semibold">{words(leftG)}</span> {whatWords(what, plan)} held back. Used of
        it:
      </span>
      {PARTS.filter(([, part]) => gramsOf(part) >= plan.scaleStepG).map(([name, part]) => (
        <button
          key={name}
          type="button"
          className="press min-h-13"
          onClick={() => void recordTap(batch, additionOf(plan, state, what, gramsOf(part)))}
        >
          {name} <span className="figure font-semibold">{words(gramsOf(part))}</span>
        </button>
      ))}
    </div>
  )
}
