import type { Gear, RackTray } from '@harina/core'
import { clockHour, legsOf, spotsOf, limitsFor, turnsOf, type Programmes } from '@harina/core/rack'
import { useEffect, useRef, useState } from 'react'
import { findProgrammes } from '#web/workers/drying.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'
import { JobCancelled } from '#web/workers/jobs.ts'

export type Search =
  | { readonly is: 'idle' }
  | { readonly is: 'looking'; readonly done: number; readonly of: number }
  | { readonly is: 'found'; readonly found: Programmes }
  | { readonly is: 'failed' }

/** The search through the rooms of this kitchen, from what the tray is by now; given up with the page it stands on. */
export function useProgramme(tray: RackTray, { nowH, model, world, growthH }: TrayForecast) {
  const [search, setSearch] = useState<Search>({ is: 'idle' })
  const running = useRef<AbortController | null>(null)
  const stop = () => running.current?.abort()
  useEffect(() => stop, [])
  const look = async (gear: Gear) => {
    const control = new AbortController()
    running.current = control
    setSearch({ is: 'looking', done: 0, of: 1 })
    try {
      const found = await findProgrammes(
        {
          layout: tray.layout,
          spots: spotsOf(gear),
          limits: limitsFor({ growthH }),
          model,
          world,
          startsAt: clockHour(tray.laidAt),
          soFar: { legs: legsOf(tray), turnsH: turnsOf(tray), nowH },
        },
        { signal: control.signal, onProgress: (done, of) => setSearch({ is: 'looking', done, of }) },
      )
      setSearch({ is: 'found', found })
    } catch (error) {
      setSearch(error instanceof JobCancelled ? { is: 'idle' } : { is: 'failed' })
    }
  }
  return { search, look, stop, forget: () => setSearch({ is: 'idle' }) }
}
