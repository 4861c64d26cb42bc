/** What lies on the rack, batch by batch, and what still has to be laid out. */
import { madeG, type RackTray, type TrayLayout } from '@harina/core'
import { clockHour } from '@harina/core/rack'
import { formatISO } from 'date-fns'
import { useMemo } from 'react'
import { playedScale } from '#web/devices/scale.ts'
import { selectEnded, useRunningBatches, type RunningBatch } from '#web/state/select.ts'
import { useApp } from '#web/state/store.ts'

export interface OnRack {
  readonly running: RunningBatch
  readonly tray: RackTray
}

/** Less of a dough than this is not looked for. */
const CRUMBS_G = 5

export const unlaidG = ({ batch, state }: RunningBatch): number => {
  const laidG = state.trays.reduce((sum, tray) => sum + tray.startG, 0)
  const leftG = madeG(batch.plan, state) - laidG
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
        const air = each.batch.plan.steps.find((step) => step.kind === 'air')
        return air?.kind === 'air' && each.state.finish === null && air.keeps.wet.length > 0
          ? [{ running: each, keeps: air.keeps }]
          : []
      }),
    }
  }, [running])
}

const NONE: readonly RackTray[] = []

/** Earlier trays of the same shape in the same room, that were weighed: what they say moves the forecast. */
export function usePastTrays({ running, tray }: OnRack): readonly RackTray[] {
  const wanted = useApp((state) => state.preferences.learnt)
  const ended = useApp(selectEnded)
  const open = useRunningBatches()
  return useMemo(() => {
    if (!wanted) return NONE
    const shape = running.batch.plan.shape.id
    const room = tray.layout.spot.place
    const told = [
      ...(ended ?? []).flatMap(({ taught }) => (taught?.shape === shape ? (taught.trays ?? []) : [])),
      ...open.flatMap(({ batch, state }) => (batch.plan.shape.id === shape ? state.trays : [])),
    ].filter(
      (each) =>
        each.id !== tray.id &&
        each.pace === 1 &&
        each.weighed.length > 0 &&
        each.layout.spot.place === room &&
        Date.parse(each.laidAt) <= Date.parse(tray.laidAt),
    )
    return told.length === 0 ? NONE : told.sort((a, b) => Date.parse(a.laidAt) - Date.parse(b.laidAt))
  }, [wanted, ended, open, running, tray])
}

/** The tray is set on the played scale, where it dries by constants that nobody is told. */
export const practise = (tray: { grams: number; trayG: number; layout: TrayLayout; pace: number }): void =>
  void playedScale.act({ act: 'tray', ...tray, startsAt: clockHour(formatISO(Date.now())) }).catch(() => undefined)
