import type { RackTray } from '@harina/core'
import type { Leg } from '@harina/core/rack'
import { hourOf, spotWords } from '#web/words/index.ts'

interface Props {
  readonly name: string
  readonly legs: readonly Leg[]
  /** Where it ends, and where the longest of those shown does. */
  readonly toH: number
  readonly longestH: number
  readonly nowH: number
  readonly tray: RackTray
}

/** Legs as a ribbon from now on, to the length of their hours. */
export function Ribbon({ name, legs, toH, longestH, nowH, tray }: Props) {
  const length = Math.max(1e-6, longestH - nowH)
  return (
    <div className="mb-2 grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3">
      <span className="text-label leading-tight font-semibold">{name}</span>
      <div>
        <div className="flex" aria-hidden="true">
          {legs.map(({ fromH, spot }, n) => (
            <span
              key={fromH}
              className="border-r-2 border-sheet text-sm leading-tight"
              style={{ width: `${(100 * ((legs[n + 1]?.fromH ?? toH) - fromH)) / length}%` }}
            >
              <span className={`block h-5 bg-family ${spot.cover ? 'opacity-50' : ''}`} />
              {legs.length > 1 && n + 1}
            </span>
          ))}
        </div>
        <ol
          className={`leading-snug ${legs.length > 1 ? 'list-decimal pl-5' : ''}`}
          aria-label={`${name}: from room to room`}
        >
          {legs.map(({ fromH, spot }, n) => (
            <li key={fromH}>
              {spotWords(spot)} <span className="small">{n === 0 ? 'from now' : `from ${hourOf(tray, fromH)}`}</span>
            </li>
          ))}
        </ol>
      </div>
    </div>
  )
}
