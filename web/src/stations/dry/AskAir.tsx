/** An air that nobody has read is asked for before anything is refused by it. */
import { airFigures, asRead, type Place } from '@harina/core'
import { useState } from 'react'
import { changePart } from '#web/state/gear.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'

type Read = Pick<Place, 'temperatureC' | 'rhPercent'>

export const readAirOf = (place: Pick<Place, 'id'>, read: Read) =>
  changePart('place', place.id, (now) => asRead(now, read))

export function AskAir({
  name,
  temperatureC,
  onRead,
}: {
  name: string
  temperatureC: number
  onRead: (read: Read) => void
}) {
  const [celsius, setCelsius] = useState(temperatureC)
  const { temperatureFigure, units } = useUnits()
  return (
    <div className="mt-2 border-l-5 border-ink pl-3">
      <p className="text-md">
        How damp is the air in {name}? A hygrometer shows{' '}
        <QuantityField
          label={`Temperature in ${name}`}
          shown={temperatureFigure(celsius)}
          unit="°C"
          min={airFigures.temperatureC.low}
          max={airFigures.temperatureC.high}
          widthCh={4}
          className="text-2xl font-semibold"
          onChange={setCelsius}
        />{' '}
        {units.temperature} and{' '}
        <QuantityField
          label={`Humidity in ${name}, percent`}
          shown=""
          unit="%"
          min={airFigures.rhPercent.low}
          max={airFigures.rhPercent.high}
          widthCh={4}
          className="text-2xl font-semibold"
          onChange={(rhPercent) => onRead({ temperatureC: celsius, rhPercent })}
        />{' '}
        %
      </p>
      <p className="small leading-snug">
        No hygrometer? A heated room in winter has 30 to 40 %, most kitchens 50 to 60 %, a cellar or a room by the sea
        70 to 80 %.
      </p>
    </div>
  )
}
