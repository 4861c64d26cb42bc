import { formatNumber, formatPoints, type Kitchen, type Worked } from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { useSheet } from './useSheet.ts'

/** Where the flour stands, and so how damp it is: a place with its air, or a figure of the maker's own. */
export function FlourStands({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const { edit, done } = useSheet()
  const { flourState } = worked.sheet
  const points = worked.expected14 - worked.asked14
  const { temperature } = useUnits()
  return (
    <div role="group" aria-label="Where the flour stands" className="flex flex-wrap items-center gap-2">
      <span className="small">Flour as it stands in</span>
      {kitchen.gear.places.map((place) => {
        const on = flourState.by === 'place' && flourState.place === place.id
        return (
          <button
            key={place.id}
            type="button"
            aria-pressed={on}
            className="chip"
            onClick={() => edit((sheet) => ({ ...sheet, flourState: { by: 'place', place: place.id } }))}
          >
            {place.name}{' '}
            <span className="figure">
              {temperature(place.temperatureC)} {formatNumber(place.rhPercent, 0)} %
            </span>
          </button>
        )
      })}
      <span className="small whitespace-nowrap">
        flour holds{' '}
        <QuantityField
          label="Flour moisture, percent"
          shown={formatNumber(worked.flourMoisture * 100, 1)}
          unit="%"
          min={5}
          max={20}
          widthCh={5}
          className="text-md font-semibold text-ink"
          onChange={(percent) =>
            edit((sheet) => ({ ...sheet, flourState: { by: 'typed', moisture: percent / 100 } }), 'moisture')
          }
          onDone={done}
        />{' '}
        % water{flourState.by === 'typed' ? ', as typed' : ''}
      </span>
      {worked.lot.n > 0 || !worked.sheet.useLearned ? (
        <label className="small flex items-center gap-2 whitespace-nowrap">
          <input
            type="checkbox"
            className="size-6 accent-(--ink)"
            checked={worked.sheet.useLearned}
            onChange={(event) => edit((sheet) => ({ ...sheet, useLearned: event.target.checked }))}
          />
          {`include past batches${Math.abs(points) >= 0.05 ? ` (${formatPoints(points)})` : ''}`}
        </label>
      ) : null}
    </div>
  )
}
