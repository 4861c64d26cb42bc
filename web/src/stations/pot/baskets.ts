/** What is to be cooked: at the pot now, or waiting for it at the board, in the cold or in the jar. */
import { isKept } from '@harina/core'
import { useMemo } from 'react'
import { useKitchen, useRunningBatches, type RunningBatch } from '#web/state/select.ts'
import type { Family } from '#web/ui/family.tsx'
import { cookedIn, usePot, type PotOf } from '#web/ui/usePot.ts'

export interface Basket extends PotOf {
  readonly running: RunningBatch
  readonly id: string
  readonly name: string
  readonly family: Family
  /** At the pot; else it still waits to be brought. */
  readonly isHere: boolean
}

const isBoiled = (running: RunningBatch): boolean => {
  const step = cookedIn(running)
  const at = running.step
  if (!step || !at || (step.kind === 'cook' && step.how !== 'boil')) return false
  if (running.batch.plan.minutes.cook[1] <= 0) return false
  const isEmpty = 'of' in at && at.of === 'skins'
  const waits = at.kind === 'air' || (isKept(at) && !isEmpty)
  return at.id === step.id || waits
}

export function useBaskets(): readonly Basket[] {
  const all = useRunningBatches()
  const running = useMemo(() => all.filter(isBoiled), [all])
  const doughs = useKitchen()?.doughs
  const pots = usePot(running)
  return useMemo(
    () =>
      running.flatMap((each): Basket[] => {
        const pot = pots.get(each.batch.id)
        if (!pot) return []
        const { sheet } = each.batch.plan
        const family = doughs?.get(sheet.dough)?.family ?? 'semolina'
        return [
          { ...pot, running: each, id: each.batch.id, name: sheet.name, family, isHere: each.step?.id === pot.stepId },
        ]
      }),
    [running, doughs, pots],
  )
}
