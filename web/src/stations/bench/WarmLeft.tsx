/** How long the dough may still lie warm, once that is soon: every warm minute from mixing on counts. */
import { doughLimits, leftAt, piecesLeftAt, specOf, warmShare, type Left, type Plan } from '@harina/core'
import { useMemo } from 'react'
import { useNow } from '#web/ui/useNow.ts'
import { counted, hoursWords } from '#web/words/index.ts'
import { Note, useBench } from './view.tsx'

const MINUTE_MS = 60_000
/** Told from here on, or sooner where the rest at hand takes longer, min. */
const SOON_MIN = 40

/** What is left of warm and cold at this minute. */
function useLeft(left: typeof leftAt, atMs?: number): Left {
  const { running } = useBench()
  const { plan, events } = running.batch
  const minute = Math.floor(useNow(10_000) / MINUTE_MS)
  const then = atMs ?? minute * MINUTE_MS
  return useMemo(() => left(plan, events, then), [left, plan, events, then])
}

/** As it was when the step’s clock was started: what was offered then stands. */
export function useLeftForStep(): Left {
  const { running, step } = useBench()
  const clock = running.state.timers[step.id]
  const ofPieces = step.kind === 'air' || (step.kind === 'rest' && step.of === 'pieces')
  const left = ofPieces ? piecesLeftAt : leftAt
  return useLeft(left, clock && Date.parse(clock.startedAt))
}

/** Of the dough. */
export const useDoughLeft = (): Left => useLeft(leftAt)

/** The same for shaped pieces. */
export const usePiecesLeft = (): Left => useLeft(piecesLeftAt)

/** What a dough of this plan may lie at its own bench, min. */
const warmLimitMin = (plan: Plan): number => doughLimits(plan).warmMin * warmShare(plan.roomC)

export function WarmLeft() {
  const { running, step, live } = useBench()
  const { roomLeftMin } = useDoughLeft()
  const { plan } = running.batch
  const clock = running.state.timers[step.id]
  const lies = !specOf(step).kept && !['cook', 'drop', 'rinse', 'verdict', 'air', 'temper', 'thaw'].includes(step.kind)
  if (!live || !lies || (step.kind === 'rest' && step.cold)) return null
  const wanted = step.kind === 'rest' && !clock ? step.best : SOON_MIN
  if (roomLeftMin > Math.max(SOON_MIN, wanted)) return null
  const limit = hoursWords(warmLimitMin(plan) / 60)
  return roomLeftMin > 0 ? (
    <Note title={`The dough may stay warm for ${counted(Math.floor(roomLeftMin), 'more minute')}`} grade="caution">
      At this bench it is {limit} in all, from mixing on. Then chill, cook or freeze it. Your local food code may allow
      less.
    </Note>
  ) : (
    <Note title="The dough has been warm too long" grade="caution">
      That is more than {limit} in all. Cook it now for yourself, or throw it away; do not keep, dry or serve it.
    </Note>
  )
}
