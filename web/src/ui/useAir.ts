import type { AirReading } from '@harina/core'
import { useEffect, useState } from 'react'
import { playedAir, type AirSensor } from '../devices/air.ts'
import type { Line } from '../devices/line.ts'

export interface LiveAir {
  readonly line: Line
  readonly reading: AirReading | null
}

/** What the air sensor says now; nothing is asked of it unless wanted. */
export function useAir(wanted: boolean, sensor: AirSensor = playedAir): LiveAir {
  const [air, setAir] = useState<LiveAir>({ line: 'looking', reading: null })
  useEffect(() => {
    if (!wanted) return
    return sensor.listen({
      onReading: (reading) => setAir({ line: 'live', reading }),
      onLine: (line) =>
        setAir((now) => (now.line === line ? now : { line, reading: line === 'live' ? now.reading : null })),
    })
  }, [wanted, sensor])
  return wanted ? air : { line: 'looking', reading: null }
}
