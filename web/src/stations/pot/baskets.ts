/** What is to be cooked: at the pot now, or waiting for it at the board, in the cold or in the jar. */
import { benchPieces, doughMoisture, type Finish, type Kitchen, type ShapeTaught } from '@harina/core'
import { cookedLike, learntTimes, type Cooked, type LearntTimes } from '@harina/core/stove'
import { useMemo } from 'react'
import { selectEnded, useKitchen, useRunningBatches, type RunningBatch } from '#web/state/select.ts'
import { useApp } from '#web/state/store.ts'

export interface Basket {
  readonly running: RunningBatch
  readonly id: string
  readonly name: string
  readonly shape: string
  readonly grams: number
  readonly finish: Finish | null
  readonly moisture: number
  readonly cooked: Cooked
  /** By this kitchen’s own times; `table` is what it would be without. */
  readonly learnt: LearntTimes & { readonly table: readonly [number, number] }
  /** The clock of its step in the pot. */
  readonly clockId: string
  /** At the pot; else it still waits to be brought. */
  readonly isHere: boolean
}

const inWater = (running: RunningBatch) =>
  running.batch.plan.steps.find((step) => step.kind === 'drop' || (step.kind === 'cook' && step.how === 'boil'))

function basketOf(running: RunningBatch, kitchen: Kitchen, taught: readonly ShapeTaught[]): Basket | null {
  const { batch, state, step } = running
  const { plan } = batch
  const boils = inWater(running)
  const shape = kitchen.shapes.get(plan.shape.id)
  if (!boils || !step || !shape || plan.minutes.cook[1] <= 0) return null
  const isHere = step.id === boils.id
  const waits = step.kind === 'then' || step.kind === 'dry' || step.kind === 'hold' || step.kind === 'freeze'
  if (!isHere && !waits) return null
  const moisture = doughMoisture(plan, state)
  const listed = cookedLike(plan, shape, state.finish, moisture, kitchen.gear.altitudeM)
  const times = learntTimes(taught, shape, state.finish)
  const span = [listed.span[0] * times.factor, listed.span[1] * times.factor] as const
  return {
    running,
    id: batch.id,
    name: plan.sheet.name,
    shape: plan.shape.name,
    grams: benchPieces(plan, state).usableG,
    finish: state.finish,
    moisture,
    cooked: { ...listed, span, tasteAtMin: span[0] },
    learnt: { ...times, table: listed.span },
    clockId: boils.id,
    isHere,
  }
}

export function useBaskets(): readonly Basket[] {
  const running = useRunningBatches()
  const kitchen = useKitchen()
  const ended = useApp(selectEnded)
  const wanted = useApp((state) => state.preferences.learnt)
  const taught = useMemo(() => (wanted ? (ended ?? []).flatMap((each) => each.taught ?? []) : []), [wanted, ended])
  return useMemo(
    () => (kitchen ? running.flatMap((each) => basketOf(each, kitchen, taught) ?? []) : []),
    [running, kitchen, taught],
  )
}
