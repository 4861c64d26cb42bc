/** Beside a tray: when it is dry, how sure that is, and what could go wrong with it. */
import { formatNumber, formatPercent, type RackTray } from '@harina/core'
import { CRACKS_BELOW, CRACKS_OVER, endsAt, GROWTH_H, onCurve } from '@harina/core/rack'
import type { ReactNode } from 'react'
import { preferred } from '#web/state/preferencesSlice.ts'
import { useKitchen } from '#web/state/select.ts'
import { useApp, useAppDispatch } from '#web/state/store.ts'
import { Term } from '#web/ui/Term.tsx'
import { useUnits } from '#web/ui/units.ts'
import { counted, crackWords, hourMark, hourOf, hoursShort, pointsOver } from '#web/words/index.ts'
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

function NotDry({ reaches, endsAt: ends, target }: Pick<TrayForecast, 'reaches' | 'endsAt'> & { target: number }) {
  switch (reaches) {
    case 'never':
      return (
        <Note title="Never in this air" grade="caution">
          It stops at {formatPercent(100 * ends)} %, {pointsOver(ends, target)} too much, and would mould in the jar.
          Move it to drier or warmer air.
        </Note>
      )
    case 'unread':
      return (
        <Note title="How damp is it there?">
          Nobody has measured the air in this room. Type its humidity, and the forecast counts.
        </Note>
      )
    default:
      return (
        <Note title="Not within two weeks" grade="caution">
          Drier or warmer air, one layer, or thinner pieces next time.
        </Note>
      )
  }
}

function WhenDry({ tray, forecast }: { tray: RackTray; forecast: TrayForecast }) {
  const { mass } = useUnits()
  const { hoursToTarget, low, high, weighings, reaches, endsAt: ends, isDry, isDue, targetG } = forecast
  const { target } = tray.layout
  if (isDry)
    return (
      <Note title="Dry enough to pack">
        At {mass(targetG + tray.trayG)} or less, tray and all. Airtight and dark; a piece snaps with a glassy break.
      </Note>
    )
  if (isDue)
    return (
      <Note title={tray.end ? 'Packed without weighing' : 'It should be dry: weigh it'}>
        At {mass(targetG + tray.trayG)} or less, tray and all, it may be packed. Without a scale break three of the
        thickest: each must snap, glassy to the middle.
      </Note>
    )
  if (hoursToTarget === null) return <NotDry reaches={reaches} endsAt={ends} target={target} />
  return (
    <Note title={`Dry ${tray.pace === 1 ? `on ${hourOf(tray, hoursToTarget)}` : hourOf(tray, hoursToTarget)}`}>
      {low === null || high === null
        ? `Not before ${hourMark(tray, low ?? hoursToTarget)}, and perhaps never: the air is barely dry enough. Weigh it.`
        : `Between ${hourMark(tray, low)} and ${hourMark(tray, high)}, nine times out of ten${weighings === 0 ? '. Weigh it to narrow that.' : `, by ${counted(weighings, 'weighing')}.`}`}
    </Note>
  )
}

const CRACK_TITLES = {
  hardly: 'It should not crack',
  seldom: 'It seldom cracks like this',
  perhaps: 'It may crack',
  likely: 'It is likely to crack',
} as const

function Cracks({ forecast: { strain, now } }: { forecast: TrayForecast }) {
  if (strain === null) return null
  const over = strain > CRACKS_OVER
  return (
    <Note title={CRACK_TITLES[crackWords(strain)]} grade={over ? 'caution' : 'note'}>
      The <Term of="middle lags">middle lags</Term> behind the surface: {formatNumber((100 * strain) / CRACKS_OVER, 0)}{' '}
      % of what pieces usually stand.
      {over &&
        (now.moisture > CRACKS_BELOW
          ? ' Cover it for some hours, and it catches up.'
          : ' That is past; look for fine cracks before you pack it.')}
    </Note>
  )
}

function WarmWet({ forecast: { warmWetH, coreWetH, coreWetNowH, growthH } }: { forecast: TrayForecast }) {
  const long = growthH > GROWTH_H
  const [all, past] = [hoursShort(coreWetH), hoursShort(coreWetNowH)]
  return (
    <Note
      title={
        <>
          <Term of="warm and wet">Warm and wet</Term> inside for {all}
        </>
      }
      grade={long ? 'caution' : 'note'}
    >
      {coreWetNowH > 0.25 && (past === all ? 'All of it is past. ' : `${past} of that is past. `)}
      On average through the piece: {hoursShort(warmWetH)}. For germs that is like {hoursShort(growthH)} at 20 °C
      {long ? ', and over two days is too long' : ''}. Throw away what is sour, slimy or spotted. Your local food code
      comes first.
    </Note>
  )
}

function Rooms({ target }: { target: number }) {
  const places = useKitchen()?.gear.places ?? []
  return (
    <Note title="The rooms">
      {places.map((place) => {
        const { moisture, reaches } = endsAt(place, target)
        return place.guessed ? (
          <span key={place.id} className="block">
            Nobody has measured the air in {place.name}.
          </span>
        ) : (
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
      {!tray.end && <Cracks forecast={forecast} />}
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
      <Rooms target={tray.layout.target} />
    </>
  )
}
