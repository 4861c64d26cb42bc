/** Presses: what drives the die, how much it takes at a time, and when it must rest. */
import { formatNumber, ROOM_FOR, type Gear, type KeptPress, type PressKind } from '@harina/core'
import { nanoid } from 'nanoid'
import { addPart, changePart, removePart } from '../../state/gear.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { tables } from '../../state/tables.ts'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'
import { Choice } from '../../ui/Choice.tsx'

const fromKind = ({ note: _note, ...kind }: PressKind): KeptPress => ({ ...kind, id: nanoid() })

interface RowProps {
  readonly press: KeptPress
  readonly onChange: (part: Partial<KeptPress>) => void
  readonly onRemove: () => void
}

function PressRow({ press, onChange, onRemove }: RowProps) {
  const { massFigure, units } = useUnits()
  const figure = (label: string, shown: string, max: number, set: (value: number) => Partial<KeptPress>, min = 0.1) => (
    <QuantityField
      label={`${press.name}, ${label}`}
      shown={shown}
      unit="count"
      min={min}
      max={max}
      widthCh={5}
      className="figure text-lg font-semibold text-ink"
      onChange={(value) => onChange(set(value))}
    />
  )
  const { crumb } = press
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <TextField
          className="head min-w-0 flex-1 text-lg"
          label="Name of the press"
          value={press.name}
          max={120}
          required
          onChange={(name) => onChange({ name })}
        />
        <button type="button" className="quiet text-sm" aria-label={`Remove ${press.name}`} onClick={onRemove}>
          Remove
        </button>
      </div>
      <p className="mt-1 leading-relaxed text-second">
        {figure('kilos an hour', formatNumber(press.flowKgPerH, 1), 500, (flowKgPerH) => ({ flowKgPerH }))} kg an hour,
        fed{' '}
        <QuantityField
          label={`${press.name}, fed at a time`}
          shown={massFigure(press.lumpG, 1)}
          unit="g"
          min={1}
          max={5000}
          widthCh={5}
          className="figure text-lg font-semibold text-ink"
          onChange={(lumpG) => onChange({ lumpG })}
        />{' '}
        {units.mass} at a time; room for{' '}
        {figure('open area', formatNumber(press.openAreaMm2, 0), 5000, (openAreaMm2) => ({ openAreaMm2 }), 5)} mm² of
        outlets. Crumb of{' '}
        {figure('driest crumb', formatNumber(crumb.low, 1), crumb.high, (low) => ({
          crumb: { ...crumb, low },
        }))}{' '}
        to{' '}
        {figure(
          'wettest crumb',
          formatNumber(crumb.high, 1),
          120,
          (high) => ({ crumb: { ...crumb, high } }),
          crumb.low,
        )}{' '}
        %.{' '}
        {press.runMin === null ? (
          <button type="button" className="quiet" onClick={() => onChange({ runMin: 20, restMin: 10 })}>
            It needs rests
          </button>
        ) : (
          <>
            Runs {figure('run', formatNumber(press.runMin, 0), 600, (runMin) => ({ runMin }), 1)} min, then rests{' '}
            {figure('rest', formatNumber(press.restMin, 0), 240, (restMin) => ({ restMin }), 0)} min.{' '}
            <button type="button" className="quiet" onClick={() => onChange({ runMin: null, restMin: 0 })}>
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
  const change = (id: string, part: Partial<KeptPress>) =>
    void changePart('press', id, (press) => {
      const { crumb, ...rest } = { ...press, ...part }
      const best = Math.min(Math.max(crumb.best, crumb.low), crumb.high)
      return { ...rest, crumb: { ...crumb, best } }
    })
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
          <PressRow
            key={press.id}
            press={press}
            onChange={(part) => change(press.id, part)}
            onRemove={() => removePart('press', press)}
          />
        ))}
      </ul>
      {gear.presses.length < ROOM_FOR && (
        <label className="small mt-2 block">
          Add{' '}
          <Choice
            label="Add a press"
            className="field text-ink"
            value=""
            none={'a press…'}
            options={kinds.map(({ id, name }) => [id, name] as const)}
            onChange={(chosen) => {
              const kind = kinds.find(({ id }) => id === chosen)
              if (kind) void addPart('press', fromKind(kind))
            }}
          />
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
