/** By hand: the same tray otherwise, up to four ways side by side. */
import { formatPercent, type RackTray, type TrayLayout } from '@harina/core'
import { clockHour, CRACKS_OVER, GROWTH_H, otherwise, waysOtherwise } from '@harina/core/rack'
import { useMemo, useState } from 'react'
import { useAnswer } from '#web/ui/useAnswer.ts'
import { useKitchen } from '#web/state/select.ts'
import { crackWords, hoursShort, otherwiseWords } from '#web/words/index.ts'
import { compared } from '#web/workers/drying.ts'
import type { Tried, TrayForecast, WayToDry } from '#web/workers/dryingJobs.ts'

const MOST = 3

interface Way {
  readonly id: string
  readonly name: string
  readonly way: WayToDry
}

/** What comes of each way, as far as it is known: of one that was asked for before, until it is worked out anew. */
function useTried(ways: readonly Way[]): readonly (Way & { tried: Tried })[] {
  const { last } = useAnswer(ways.length === 0 ? null : ways, async (asked) => {
    const answers = await compared(asked.map(({ way }) => way))
    return asked.map((way, n) => ({ ...way, tried: answers[n]! }))
  })
  return (last?.answer ?? []).filter(({ id }) => ways.some((way) => way.id === id))
}

const HEADS = ['from the start', 'dry after', 'may it crack?', 'damp in the middle']

const notDry = (reaches: Tried['reaches'], endsAt: number): string => {
  if (reaches === 'unread') return 'measure the air'
  return reaches === 'never' ? `never: ${formatPercent(100 * endsAt)} %` : 'over two weeks'
}

function TriedRow({ name, tried }: { name: string; tried: Tried }) {
  const { hours, reaches, endsAt, strain, coreWetH, growthH } = tried
  return (
    <tr className="border-t border-line">
      <th scope="row" className="py-1 font-text font-semibold">
        {name}
      </th>
      <td className="text-lg font-semibold">{hours === null ? notDry(reaches, endsAt) : hoursShort(hours)}</td>
      <td className={(strain ?? 0) > CRACKS_OVER ? 'text-danger' : ''}>
        {strain === null ? 'no' : crackWords(strain)}
      </td>
      <td className={growthH > GROWTH_H ? 'text-danger' : ''}>{hoursShort(coreWetH)}</td>
    </tr>
  )
}

export function WhatIf({ tray, model, world }: { tray: RackTray } & Pick<TrayForecast, 'model' | 'world'>) {
  const gear = useKitchen()?.gear
  const [chosen, setChosen] = useState<readonly string[]>([])
  const here = tray.spots.at(-1)!.spot
  const layout = useMemo(() => ({ ...tray.layout, spot: here }), [tray.layout, here])
  const offered = useMemo(() => (gear ? waysOtherwise(layout, gear) : []), [layout, gear])
  // A way that is no longer one, as after a move, is not compared.
  const taken = useMemo(() => chosen.flatMap((id) => offered.find((each) => each.id === id) ?? []), [chosen, offered])
  const ways = useMemo((): readonly Way[] => {
    if (taken.length === 0) return []
    const wayOf = (id: string, name: string, to: TrayLayout): Way => ({
      id,
      name,
      way: { layout: to, startsAt: clockHour(tray.laidAt), model, world },
    })
    return [
      wayOf('here', 'as it stands now', layout),
      ...taken.map((each) => wayOf(each.id, otherwiseWords(each), otherwise(layout, each))),
    ]
  }, [layout, taken, tray.laidAt, model, world])
  const worked = useTried(ways)
  return (
    <section aria-label="What if" data-screen-only={taken.length === 0 || undefined}>
      <h2 className="head mb-1 text-lg">What if</h2>
      <div role="group" aria-label="Otherwise" className="flex flex-wrap gap-2">
        {offered.map((way) => {
          const on = taken.includes(way)
          return (
            <button
              key={way.id}
              type="button"
              aria-pressed={on}
              disabled={!on && taken.length >= MOST}
              className="chip"
              onClick={() =>
                setChosen(on ? chosen.filter((id) => id !== way.id) : [...taken.map(({ id }) => id), way.id])
              }
            >
              {otherwiseWords(way)}
            </button>
          )
        })}
      </div>
      {worked.length > 0 && (
        <table className="mt-2 w-full max-w-160 text-left">
          <thead className="small">
            <tr>
              {HEADS.map((head) => (
                <th key={head} scope="col" className="font-normal">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="figure">
            {worked.map(({ id, name, tried }) => (
              <TriedRow key={id} name={name} tried={tried} />
            ))}
          </tbody>
        </table>
      )}
    </section>
  )
}
