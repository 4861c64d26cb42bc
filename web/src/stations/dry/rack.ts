/** What lies on the rack, batch by batch, and what still has to be laid out. */
import { benchPieces, type RackTray } from '@harina/core'
import { useMemo } from 'react'
import { useRunningBatches, type RunningBatch } from '#web/state/select.ts'

export interface OnRack {
  readonly running: RunningBatch
  readonly tray: RackTray
}

/** Less of a dough than this is not looked for. */
const CRUMBS_G = 5

export const unlaidG = ({ batch, state }: RunningBatch): number => {
  const laidG = state.trays.reduce((sum, tray) => sum + tray.startG, 0)
  const leftG = benchPieces(batch.plan, state).usableG - laidG
  return leftG > CRUMBS_G ? leftG : 0
}

const isOnRack = ({ step }: RunningBatch): boolean => step?.kind === 'dry'

export function useRack() {
  const running = useRunningBatches()
  return useMemo(() => {
    const there = running.filter((each) => isOnRack(each) || each.state.trays.some(({ end }) => end === null))
    const trays = there.flatMap((each): OnRack[] => each.state.trays.map((tray) => ({ running: each, tray })))
    return {
      // What still dries stands first.
      trays: [...trays].sort((a, b) => Number(a.tray.end !== null) - Number(b.tray.end !== null)),
      toLayOut: there.filter((each) => isOnRack(each) && unlaidG(each) > 0),
      /** Never for the rack, and still to be decided on. */
      refused: running.flatMap((each) => {
        const then = each.batch.plan.steps.find((step) => step.kind === 'then')
        return then?.kind === 'then' && each.state.finish === null && then.keeps.wet.length > 0
          ? [{ running: each, keeps: then.keeps }]
          : []
      }),
    }
  }, [running])
}
