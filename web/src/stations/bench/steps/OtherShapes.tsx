/** What the same dough is also cut into: weighed off, each goes on as a batch of its own. */
import { nextOther, stillHere } from '@harina/core'
import { nanoid } from 'nanoid'
import { useRef } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { notify } from '#web/state/notify.ts'
import { useUnits } from '#web/ui/units.ts'
import { type StepAction } from '../StepPage.tsx'
import { Note, useBench } from '../view.tsx'

/** The next shape to weigh off, before the rest is worked; null once each has gone its way. */
export function useOtherShapes(): StepAction | null {
  const { running } = useBench()
  const { batch, state } = running
  const { mass } = useUnits()
  // One batch a shape, however often the same press comes.
  const ids = useRef(new Map<string, string>())
  const next = nextOther(batch.plan, state)
  if (!next) return null
  const idOf = (shape: string) => {
    const known = ids.current.get(shape) ?? nanoid()
    ids.current.set(shape, known)
    return known
  }
  const run = async () => {
    const { shape, name, keeps, for: what } = next
    const split = {
      type: 'split',
      keeps,
      other: idOf(shape),
      part: 'kept',
      shape,
      ...(what ? { for: what } : {}),
    } as const
    if (!(await recordTap(batch, split))) return
    notify(`${name} goes on by itself`, {
      description: 'It has its own place in the strip above, with all that happened before.',
    })
  }
  return { label: `${mass(next.grams, batch.plan.scaleStepG)} off for ${next.name}`, run: () => void run() }
}

export function OtherShapes() {
  const { running } = useBench()
  const { plan } = running.batch
  const { state } = running
  const { mass } = useUnits()
  const still = stillHere(plan, state)
  if (still.length === 0) return null
  return (
    <Note title="Weigh off, and cover">
      {still
        .map(({ name, grams, for: what }) => `${mass(grams, plan.scaleStepG)} for ${name}${what ? ` (${what})` : ''}`)
        .join(', ')}
      .
    </Note>
  )
}
