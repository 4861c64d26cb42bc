/** By hand: the same tray otherwise, up to four ways side by side. */
import { formatNumber, formatPercent, type RackTray, type TrayLayout } from '@harina/core'
import { clockHour, CRACKS_OVER, overOf, spotIn } from '@harina/core/rack'
import { useEffect, useMemo, useState } from 'react'
import { useKitchen } from '#web/state/select.ts'
import { coverWords, hoursShort } from '#web/words/index.ts'
import { compared } from '#web/workers/drying.ts'
import type { Tried, TrayForecast } from '#web/workers/dryingJobs.ts'

interface Change {
  readonly id: string
  readonly words: string
  readonly to: (layout: TrayLayout) => TrayLayout
}
const MOST = 3
const THINNER = 0.8
const DRIER_POINTS = 0.02

export function WhatIf({ tray, model }: { tray: RackTray; model: TrayForecast['model'] }) {
  const gear = useKitchen()?.gear
  const [chosen, setChosen] = useState<readonly string[]>([])
  const [tried, setTried] = useState<readonly Tried[] | null>(null)
  const here = tray.spots.at(-1)!.spot
  const changes = useMemo((): readonly Change[] => {
    const spot = (part: Partial<TrayLayout['spot']>) => (layout: TrayLayout) => ({
      ...layout,
      spot: { ...layout.spot, ...part },
    })
    return [
      ...(here.air === 'still' ? [{ id: 'fan', words: 'a fan on', to: spot({ air: 'fan' }) }] : []),
      ...(here.air === 'still' ? [] : [{ id: 'still', words: 'the fan off', to: spot({ air: 'still' }) }]),
      ...(here.cover ? [{ id: 'open', words: coverWords(null), to: spot({ cover: null }) }] : []),
      ...(gear?.covers ?? [])
        .filter(({ name }) => name !== here.cover?.name)
        .map((cover) => ({ id: cover.id, words: coverWords(cover), to: spot({ cover: overOf(cover) }) })),
      ...(gear?.places ?? [])
        .filter(({ name }) => name !== here.place)
        .map((place) => ({ id: place.id, words: place.name, to: spot(spotIn(place, here.cover)) })),
      {
        id: 'thinner',
        words: 'a fifth thinner',
        to: (layout) => ({
          ...layout,
          body: { ...layout.body, halfThicknessMm: THINNER * layout.body.halfThicknessMm },
        }),
      },
      {
        id: 'drier',
        words: 'two points less water in the dough',
        to: (layout) => ({ ...layout, moisture: layout.moisture - DRIER_POINTS }),
      },
      ...(tray.layout.laid === 'spread'
        ? []
        : [
            { id: 'spread', words: 'spread out', to: (layout: TrayLayout) => ({ ...layout, laid: 'spread' as const }) },
          ]),
    ]
  }, [gear, here, tray.layout.laid])
  const ways = useMemo(() => {
    const layout = { ...tray.layout, spot: here }
    return [layout, ...chosen.flatMap((id) => changes.find((change) => change.id === id)?.to(layout) ?? [])]
  }, [tray.layout, here, chosen, changes])
  useEffect(() => {
    if (chosen.length === 0) return
    let gone = false
    compared(ways.map((layout) => ({ layout, startsAt: clockHour(tray.laidAt), model }))).then(
      (answers) => !gone && setTried(answers),
      () => undefined,
    )
    return () => {
      gone = true
    }
  }, [ways, model, tray.laidAt, chosen.length])
  return (
    <section aria-label="What if" data-screen-only={chosen.length === 0 || undefined}>
      <h2 className="head mb-1 text-lg">What if</h2>
      <div role="group" aria-label="Otherwise" className="flex flex-wrap gap-2">
        {changes.map(({ id, words }) => {
          const on = chosen.includes(id)
          return (
            <button
              key={id}
              type="button"
              aria-pressed={on}
              disabled={!on && chosen.length >= MOST}
              className="chip"
              onClick={() => setChosen(on ? chosen.filter((each) => each !== id) : [...chosen, id])}
            >
              {words}
            </button>
          )
        })}
      </div>
      {chosen.length > 0 && tried?.length === ways.length && (
        <table className="mt-2 w-full max-w-160 text-left">
          <thead className="small">
            <tr>
              <th scope="col" className="font-normal">
                from the start
              </th>
              <th scope="col" className="font-normal">
                dry after
              </th>
              <th scope="col" className="font-normal">
                middle lags
              </th>
              <th scope="col" className="font-normal">
                warm and wet
              </th>
            </tr>
          </thead>
          <tbody className="figure">
            {tried.map((way, n) => (
              <tr key={n === 0 ? 'here' : chosen[n - 1]} className="border-t border-line">
                <th scope="row" className="py-1 font-text font-semibold">
                  {n === 0 ? 'as it stands now' : changes.find(({ id }) => id === chosen[n - 1])?.words}
                </th>
                <td className="text-lg font-semibold">
                  {way.hours !== null
                    ? hoursShort(way.hours)
                    : way.never
                      ? `never: ${formatPercent(100 * way.endsAt)} %`
                      : 'over two weeks'}
                </td>
                <td className={(way.lagAt18 ?? 0) > CRACKS_OVER ? 'text-danger' : ''}>
                  {way.lagAt18 === null ? 'not at all' : `${formatNumber(100 * way.lagAt18, 0)} points`}
                </td>
                <td>{hoursShort(way.warmWetH)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}
