/** Beside a tray: when it is dry, how sure that is, and what could go wrong with it. */
import { formatNumber, formatPercent, type RackTray } from '@harina/core'
import { CRACKS_OVER, endsAt, HYGIENE_H, onCurve, UNFITTED } from '@harina/core/rack'
import type { ReactNode } from 'react'
import { preferred } from '#web/state/preferencesSlice.ts'
import { useKitchen } from '#web/state/select.ts'
import { useApp, useAppDispatch } from '#web/state/store.ts'
import { Term } from '#web/ui/Term.tsx'
import { useUnits } from '#web/ui/units.ts'
import { counted, eitherWay, hourOf, hoursShort } from '#web/words/index.ts'
import type { TrayForecast } from '#web/workers/dryingJobs.ts'

/** Longer than a night, h. */
const LONG_H = 18

function Note({
  title,
  grade = 'note',
  children,
}: {
  title: ReactNode
  grade?: 'note' | 'caution'
  children: ReactNode
}) {
  return (
    <div className={`border-l-2 pl-3 ${grade === 'caution' ? 'border-l-5 border-danger' : 'border-second'}`}>
      <h3 className="head text-md leading-tight">{title}</h3>
      <p className="small leading-snug">{children}</p>
    </div>
  )
}

function WhenDry({ tray, forecast }: { tray: RackTray; forecast: TrayForecast }) {
  const { mass } = useUnits()
  const { hoursToTarget, low, high, fit, drying, isDry, targetG } = forecast
  if (isDry)
    return (
      <Note title="Dry enough to pack">
        At {mass(targetG + tray.trayG)} or less, tray and all. Airtight and dark; a piece snaps with a glassy break.
      </Note>
    )
  if (hoursToTarget === null)
    return drying.never ? (
      <Note title="Never in this air" grade="caution">
        It stops at {formatPercent(100 * drying.equilibriumMoisture)} % and would mould in the jar. Move it to drier or
        warmer air.
      </Note>
    ) : (
      <Note title="Not within two weeks" grade="caution">
        Drier or warmer air, one layer, or thinner pieces next time.
      </Note>
    )
  return (
    <Note title={`Dry ${tray.pace === 1 ? `on ${hourOf(tray, hoursToTarget)}` : hourOf(tray, hoursToTarget)}`}>
      {fit === null
        ? `Good to ${formatNumber(100 * UNFITTED, 0)} % either way until it is weighed; each weighing narrows that.`
        : low !== null && high !== null
          ? `${eitherWay(low, high)} either way, nine times out of ten, by ${tray.weighed.length === 1 ? 'one weighing' : `${tray.weighed.length} weighings`}.`
          : 'It may be never: the air is near what it takes.'}
    </Note>
  )
}

function Lag({ forecast }: { forecast: TrayForecast }) {
  const { coreLagAt18: lag } = forecast.drying
  if (lag === null) return null
  const over = lag > CRACKS_OVER
  return (
    <Note
      title={
        <>
          The <Term of="middle lags">middle lags</Term> by {counted(100 * lag, 'point')}
        </>
      }
      grade={over ? 'caution' : 'note'}
    >
      As it passes 18 % water. {over ? 'Over' : 'Under'} {formatNumber(100 * CRACKS_OVER, 0)}{' '}
      {over ? 'pieces crack in the days after: a cover for some hours lets the middle catch up.' : 'they seldom crack.'}
    </Note>
  )
}

function WarmWet({ forecast }: { forecast: TrayForecast }) {
  const { warmWetH } = forecast.drying
  const long = warmWetH > HYGIENE_H
  const [all, past] = [hoursShort(warmWetH), hoursShort(forecast.warmWetNowH)]
  return (
    <Note
      title={
        <>
          <Term of="warm and wet">Warm and wet</Term> for {all}
        </>
      }
      grade={long ? 'caution' : 'note'}
    >
      {forecast.warmWetNowH > 0.25 && (past === all ? 'All of it is past. ' : `${past} of them so far. `)}
      Above 24 % water what spoils it grows{long ? `: over ${HYGIENE_H} hours is long` : ''}. Sour, slimy or spotted is
      thrown away; your local food code comes first.
    </Note>
  )
}

function Rooms() {
  const places = useKitchen()?.gear.places ?? []
  return (
    <Note title="The rooms">
      {places.map((place) => {
        const { moisture, reaches } = endsAt(place)
        return (
          <span key={place.id} className="block">
            {place.name} ends at {formatPercent(100 * moisture)} %{reaches === 'never' && ': never dry'}
            {reaches === 'near' && ': very slow at the end'}.
          </span>
        )
      })}
    </Note>
  )
}

/** For what takes longer than a night: what the scale shows on the way. */
function OnTheWay({ tray, forecast }: { tray: RackTray; forecast: TrayForecast }) {
  const { mass } = useUnits()
  const { hoursToTarget, nowH, band } = forecast
  if (hoursToTarget === null || hoursToTarget - nowH < LONG_H) return null
  return (
    <Note title="On the way">
      {[0.25, 0.5, 0.75].map((share) => {
        const h = nowH + share * (hoursToTarget - nowH)
        return (
          <span key={share} className="block">
            {hourOf(tray, h)}: about {mass(onCurve(band, 'grams', h) + tray.trayG)}, tray and all.
          </span>
        )
      })}
    </Note>
  )
}

/** What was assumed, and what earlier trays have taught; back to the table at a press. */
function Learnt({ tray, forecast }: { tray: RackTray; forecast: TrayForecast }) {
  const dispatch = useAppDispatch()
  const wanted = useApp((state) => state.preferences.learnt)
  const { factor, n } = forecast.learnt
  if (wanted && n === 0) return null
  return (
    <Note title={wanted ? `${counted(n, 'earlier tray')} of it here` : 'By the table alone'}>
      {wanted
        ? `In ${tray.layout.spot.place} this shape dries ${formatNumber(factor, 2)} times as fast inside as the table assumes${n < 3 ? ': few to go by' : ''}. `
        : 'Earlier trays are left out. '}
      <button type="button" className="quiet" onClick={() => dispatch(preferred({ learnt: !wanted }))}>
        {wanted ? 'Back to the table' : 'Use earlier trays'}
      </button>
    </Note>
  )
}

export function TrayNotes({ tray, forecast }: { tray: RackTray; forecast: TrayForecast }) {
  return (
    <>
      <WhenDry tray={tray} forecast={forecast} />
      {!tray.end && <Lag forecast={forecast} />}
      {!tray.end && <WarmWet forecast={forecast} />}
      {forecast.turnH[0] !== undefined && !tray.end && (
        <Note title={`Turn ${hourOf(tray, forecast.turnH[0])}`}>
          {tray.layout.laid === 'spread'
            ? 'Over, so that the wet side faces the air.'
            : 'Loosen and turn the inside out.'}
        </Note>
      )}
      {!tray.end && <OnTheWay tray={tray} forecast={forecast} />}
      {!tray.end && <Learnt tray={tray} forecast={forecast} />}
      <Rooms />
    </>
  )
}
