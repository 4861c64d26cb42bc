/** The sieves on a line of time: each turn from its drop to its lift, up to when all are up. */
import { lengthMin, turnsOn, upTogether } from '@harina/core/stove'
import { format } from 'date-fns'
import type { CSSProperties } from 'react'
import { familyInk } from '#web/ui/family.tsx'
import type { Basket } from './baskets.ts'

interface Props {
  readonly baskets: readonly Basket[]
  readonly upAtMs: number | null
  readonly nowMs: number
}

interface Bar {
  readonly fromMs: number
  readonly toMs: number
  readonly isIn: boolean
}

/** What is in by its clock; what is still to come, by when it has to be up, or as soon as it can be. */
function barsOf(basket: Basket, upAtMs: number, nowMs: number): readonly Bar[] {
  const { clock, turn, turns } = basket
  const inNow: readonly Bar[] = clock
    ? [{ fromMs: Date.parse(clock.startedAt), toMs: Math.max(clock.endsAtMs, nowMs), isIn: true }]
    : []
  const next = clock ? turn + 1 : turn
  if (next > turns) return inNow
  const still = { ...basket, turns: turns - next + 1 }
  const firstMs = Math.max(upAtMs - lengthMin(still) * 60_000, inNow[0]?.toMs ?? nowMs)
  return [...inNow, ...turnsOn(still, firstMs).map((each) => ({ ...each, isIn: false }))]
}

export function Line({ baskets, upAtMs, nowMs }: Props) {
  const soonestMs = nowMs + (upTogether(baskets)[0]?.beforeMin ?? 0) * 60_000
  const upMs = Math.max(upAtMs ?? soonestMs, nowMs)
  const rows = baskets.map((basket) => ({ basket, bars: barsOf(basket, upMs, nowMs) }))
  const isWorthIt = baskets.length > 1 || baskets.some(({ turns }) => turns > 1)
  if (!isWorthIt) return null
  const all = rows.flatMap(({ bars }) => bars)
  const fromMs = Math.min(nowMs, ...all.map((bar) => bar.fromMs))
  const toMs = Math.max(upMs, ...all.map((bar) => bar.toMs)) + 15_000
  const share = (ms: number) => `${(100 * (ms - fromMs)) / (toMs - fromMs)}%`
  return (
    <section aria-label="Sieves on a line of time">
      <div className="grid grid-cols-[1.25rem_minmax(0,1fr)]">
        <ol className="figure text-label font-semibold" aria-hidden="true">
          {rows.map(({ basket }, n) => (
            <li key={basket.id} className="mb-1 h-7 leading-7">
              {n + 1}
            </li>
          ))}
        </ol>
        <ol className="relative border-r-2 border-ink">
          {rows.map(({ basket, bars }) => (
            <li
              key={basket.id}
              className="relative mb-1 h-7"
              style={{ '--family': familyInk[basket.family] } as CSSProperties}
              aria-label={`${basket.name}: ${bars.map((bar) => `in ${format(bar.fromMs, 'HH:mm:ss')}, out ${format(bar.toMs, 'HH:mm:ss')}`).join('; ')}`}
            >
              {bars.map((bar) => (
                <span
                  key={bar.fromMs}
                  aria-hidden="true"
                  className={`absolute inset-y-0 border-2 border-family ${bar.isIn ? 'bg-family' : ''}`}
                  style={{ left: share(bar.fromMs), right: `calc(100% - ${share(bar.toMs)})` }}
                />
              ))}
            </li>
          ))}
          <li aria-hidden="true" className="absolute inset-y-0 w-0.5 bg-danger" style={{ left: share(nowMs) }} />
        </ol>
      </div>
      <p className="small flex justify-between pl-5" aria-hidden="true">
        <span>{format(fromMs, 'HH:mm:ss')}</span>
        <span>{upAtMs === null ? `at the soonest ${format(upMs, 'HH:mm:ss')}` : `up ${format(upMs, 'HH:mm:ss')}`}</span>
      </p>
    </section>
  )
}
