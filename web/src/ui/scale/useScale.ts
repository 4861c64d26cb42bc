/** The scale's last seconds, whether it stands still, and whether the line to it holds. */
import { HOLD_MS, steadyG, type ScaleReading, type TimedReading } from '@harina/core'
import { useEffect, useState } from 'react'
import type { Line } from '#web/devices/line.ts'
import { playedScale, type Scale } from '#web/devices/scale.ts'

export interface LiveScale {
  readonly line: Line
  readonly reading: ScaleReading | null
  /** What it shows once it has stood still; null while it moves. */
  readonly steadyG: number | null
}

interface Heard {
  readonly line: Line
  readonly readings: readonly TimedReading[]
}

const KEPT_MS = HOLD_MS * 2

export function useScale(wanted: boolean, scale: Scale = playedScale): LiveScale {
  const [{ line, readings }, setHeard] = useState<Heard>({ line: 'looking', readings: [] })
  useEffect(() => {
    if (!wanted) return
    return scale.listen({
      onReading: (reading) =>
        setHeard(({ line: now, readings: before }) => {
          const atMs = Date.now()
          return { line: now, readings: [...before.filter((each) => each.atMs > atMs - KEPT_MS), { atMs, reading }] }
        }),
      onLine: (next) =>
        setHeard((heard) =>
          heard.line === next ? heard : { line: next, readings: next === 'live' ? heard.readings : [] },
        ),
    })
  }, [wanted, scale])
  const last = readings.at(-1)
  return { line, reading: last?.reading ?? null, steadyG: last ? steadyG(readings, last.atMs) : null }
}
