/** Presses: what drives the die, how much it takes at a time, and when it must rest. */
import { formatNumber, plainTextFrom, type Gear, type KeptPress, type PressKind } from '@harina/core'
import { nanoid } from 'nanoid'
import { notify } from '../../state/notify.ts'
import { repository } from '../../storage/index.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { tables } from '../../ui/tables.ts'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'

const put = (gear: Gear) => void repository.putGear(gear)

const fromKind = ({ note: _note, ...kind }: PressKind): KeptPress => ({ ...kind, id: nanoid() })

interface RowProps {
  readonly press: KeptPress
  readonly onChange: (press: KeptPress) => void
  readonly onRemove: () => void
}

function PressRow({ press, onChange, onRemove }: RowProps) {
  const { massFigure, units } = useUnits()
  const figure = (label: string, shown: string, max: number, set: (value: number) => KeptPress, min = 0.1) => (
    <QuantityField
      label={`${press.name}, ${label}`}
      shown={shown}
      unit="count"
      min={min}
      max={max}
      widthCh={5}
      className="figure text-[19px] font-semibold text-ink"
      onChange={(value) => onChange(set(value))}
    />
  )
  const { crumb } = press
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <input
          className="field head min-w-0 flex-1 text-[18px]"
          aria-label="Name of the press"
          value={press.name}
          maxLength={120}
          onChange={(event) => onChange({ ...press, name: plainTextFrom(event.target.value, 120) || 'Press' })}
        />
        <button type="button" className="quiet text-[14px]" aria-label={`Remove ${press.name}`} onClick={onRemove}>
          Remove
        </button>
      </div>
      <p className="mt-1 leading-relaxed text-second">
        {figure('kilos an hour', formatNumber(press.flowKgPerH, 1), 500, (flowKgPerH) => ({ ...press, flowKgPerH }))} kg
        an hour, fed{' '}
        <QuantityField
          label={`${press.name}, fed at a time`}
          shown={massFigure(press.lumpG, 1)}
          unit="g"
          min={1}
          max={5000}
          widthCh={5}
          className="figure text-[19px] font-semibold text-ink"
          onChange={(lumpG) => onChange({ ...press, lumpG })}
        />{' '}
        {units.mass} at a time; room for{' '}
        {figure('open area', formatNumber(press.openAreaMm2, 0), 5000, (openAreaMm2) => ({ ...press, openAreaMm2 }), 5)}{' '}
        mm² of outlets. Crumb of{' '}
        {figure('driest crumb', formatNumber(crumb.low, 1), crumb.high, (low) => ({
          ...press,
          crumb: { ...crumb, low },
        }))}{' '}
        to{' '}
        {figure(
          'wettest crumb',
          formatNumber(crumb.high, 1),
          120,
          (high) => ({ ...press, crumb: { ...crumb, high } }),
          crumb.low,
        )}{' '}
        %.{' '}
        {press.runMin === null ? (
          <button type="button" className="quiet" onClick={() => onChange({ ...press, runMin: 20, restMin: 10 })}>
            It needs rests
          </button>
        ) : (
          <>
            Runs {figure('run', formatNumber(press.runMin, 0), 600, (runMin) => ({ ...press, runMin }), 1)} min, then
            rests {figure('rest', formatNumber(press.restMin, 0), 240, (restMin) => ({ ...press, restMin }), 0)} min.{' '}
            <button type="button" className="quiet" onClick={() => onChange({ ...press, runMin: null, restMin: 0 })}>
              It stays cool
            </button>
          </>
        )}
      </p>
    </li>
  )
}

export function Presses({ gear }: { gear: Gear }) {
  const kinds = tables().presses
  const change = (next: KeptPress) => {
    const { crumb } = next
    const best = Math.min(Math.max(crumb.best, crumb.low), crumb.high)
    put({
      ...gear,
      presses: gear.presses.map((each) => (each.id === next.id ? { ...next, crumb: { ...crumb, best } } : each)),
    })
  }
  const remove = (gone: KeptPress) => {
    put({ ...gear, presses: gear.presses.filter((each) => each.id !== gone.id) })
    notify(`${gone.name} is removed`, { action: { label: 'Undo', onClick: () => put(gear) } })
  }
  return (
    <Section
      title="Presses"
      lead="For dough through a die. Begin with the kind you have; then type what yours really does."
    >
      {gear.presses.length === 0 && (
        <p className="py-2">
          Your press would stand here, and the shapes would say how long a run takes and when to feed.
        </p>
      )}
      <ul>
        {gear.presses.map((press) => (
          <PressRow key={press.id} press={press} onChange={change} onRemove={() => remove(press)} />
        ))}
      </ul>
      {gear.presses.length < 20 && (
        <label className="small mt-2 block">
          Add{' '}
          <select
            className="field text-ink"
            value=""
            onChange={(event) => {
              const kind = kinds.find(({ id }) => id === event.target.value)
              if (kind) put({ ...gear, presses: [...gear.presses, fromKind(kind)] })
            }}
          >
            <option value="">a press…</option>
            {kinds.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
      {gear.presses.length > 0 && (
        <p className="small mt-2">
          Hands, hair and sleeves away from screw and rollers; guards on; unplug before cleaning. The maker’s manual
          comes first.
        </p>
      )}
    </Section>
  )
}
