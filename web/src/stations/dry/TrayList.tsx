/** The trays, each with where it stands: how wet, when dry, or that it never will be. */
import { formatPercent } from '@harina/core'
import { Link } from 'react-router'
import { familyInk } from '#web/ui/family.tsx'
import { useFamily } from '#web/state/select.ts'
import { useUnits } from '#web/ui/units.ts'
import { hourOf, layingWords } from '#web/words/index.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'
import { usePastTrays, type OnRack } from './rack.ts'
import { useForecast } from './useForecast.ts'

interface Props extends OnRack {
  readonly chosen: boolean
  readonly nowMs: number
}

const notDry: Readonly<Record<TrayForecast['reaches'], string>> = {
  never: 'never here',
  unread: 'how damp is it there?',
  near: 'not in two weeks',
  yes: 'not in two weeks',
}

function Standing({ running, tray, nowMs }: Omit<Props, 'chosen'>) {
  const { mass } = useUnits()
  const past = usePastTrays({ running, tray })
  const forecast = useForecast(tray, past, nowMs, running.batch.plan.scaleStepG)
  if (tray.end?.how === 'thrown') return <span className="text-danger">thrown away</span>
  if (tray.end)
    return (
      <>
        <strong className="figure text-lg">dry</strong>{' '}
        <span className="small">packed{tray.weighed.length > 0 && `, ${mass(tray.weighed.at(-1)!.grams)}`}</span>
      </>
    )
  if (!forecast) return <span className="small">being worked out</span>
  if (forecast.isDry) return <strong className="figure text-lg">dry, pack it</strong>
  if (forecast.isDue) return <strong className="figure text-lg">should be dry, weigh it</strong>
  if (forecast.hoursToTarget === null)
    return (
      <>
        <strong className="figure text-lg text-danger">{notDry[forecast.reaches]}</strong>{' '}
        {forecast.reaches === 'never' && (
          <span className="small">stops at {formatPercent(100 * forecast.endsAt)} %</span>
        )}
      </>
    )
  return (
    <>
      <strong className="figure text-lg">
        {formatPercent(100 * Math.max(tray.layout.target, forecast.now.moisture))} %
      </strong>{' '}
      <span className="small">dry {hourOf(tray, forecast.hoursToTarget)}</span>
    </>
  )
}

function Row({ running, tray, chosen, nowMs }: Props) {
  const family = useFamily(running.batch.plan)
  return (
    <li>
      <Link
        to={`/dry/${tray.id}`}
        aria-current={chosen ? 'true' : undefined}
        style={chosen ? { borderLeftColor: familyInk[family] } : undefined}
        className={`block border-b border-l-5 border-b-line py-2 pr-2 pl-3 leading-tight ${chosen ? 'bg-ground' : 'border-l-transparent hover:bg-ground'}`}
      >
        <span className="head text-md">{tray.name}</span>{' '}
        <span className="small">
          {running.batch.plan.shape.name}, {layingWords[tray.layout.laid]}
        </span>
        <span className="mt-0.5 block">
          <Standing running={running} tray={tray} nowMs={nowMs} />
        </span>
      </Link>
    </li>
  )
}

export function TrayList({
  trays,
  chosen,
  nowMs,
}: {
  trays: readonly OnRack[]
  chosen: string | undefined
  nowMs: number
}) {
  return (
    <ul>
      {trays.map((each) => (
        <Row key={each.tray.id} {...each} chosen={each.tray.id === chosen} nowMs={nowMs} />
      ))}
    </ul>
  )
}
