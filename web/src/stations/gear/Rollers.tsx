/** Rollers by their measured gaps: two are enough, the rest of the dial follows. */
import { formatNumber, ROOM_FOR, settingsOf, type Gear, type KeptRoller, type Setting } from '@harina/core'
import { nanoid } from 'nanoid'
import { addPart, changePart, removePart } from '../../state/gear.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { TextField } from '../../ui/TextField.tsx'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'

/** A usual dial to begin with, until its owner has measured it. */
const fresh = (): KeptRoller => ({
  id: nanoid(),
  name: 'New roller',
  widthMm: 145,
  settings: 7,
  widest: 'first',
  measured: [
    { setting: 1, gapMm: 2.8 },
    { setting: 7, gapMm: 0.5 },
  ],
  springBack: 1.1,
})

type Edit = (roller: KeptRoller) => KeptRoller

const measuredAt = (roller: KeptRoller, setting: number, gapMm: number): KeptRoller => ({
  ...roller,
  measured: [...roller.measured.filter((each) => each.setting !== setting), { setting, gapMm }].sort(
    (a, b) => a.setting - b.setting,
  ),
})

/** Another number of settings: what was measured beyond it goes. */
const withSettings = (roller: KeptRoller, settings: number): KeptRoller => ({
  ...roller,
  settings,
  measured: roller.measured.filter((each) => each.setting <= settings),
})

/** The numbers run the other way: what was measured at the first is at the last. */
const turned = (roller: KeptRoller): KeptRoller => ({
  ...roller,
  widest: roller.widest === 'first' ? 'last' : 'first',
  measured: roller.measured
    .map(({ setting, gapMm }) => ({ setting: roller.settings + 1 - setting, gapMm }))
    .sort((a, b) => a.setting - b.setting),
})

const outOfOrder = (settings: readonly Setting[]): boolean =>
  settings.some((setting, index) => index > 0 && setting.gapMm >= (settings[index - 1]?.gapMm ?? Infinity))

function Dial({ roller, onChange }: { roller: KeptRoller; onChange: (edit: Edit) => void }) {
  const { gapFigure } = useUnits()
  const settings = settingsOf(roller)
  const shown = new Map(settings.map((setting) => [setting.setting, setting]))
  return (
    <>
      <ol className="mt-2 flex flex-wrap gap-x-3 gap-y-1" aria-label={`Gaps of ${roller.name}`}>
        {Array.from({ length: roller.settings }, (_, index) => index + 1).map((setting) => {
          const found = shown.get(setting)
          return (
            <li key={setting} className="flex flex-col items-end">
              <span className="small">{setting}</span>
              <QuantityField
                label={`${roller.name}, gap at ${setting}`}
                shown={found ? gapFigure(found.gapMm) : ''}
                unit="mm"
                min={0.05}
                max={50}
                widthCh={4.6}
                className={`text-md ${found?.measured ? 'font-semibold text-ink' : 'text-second'}`}
                onChange={(gapMm) => onChange((now) => measuredAt(now, setting, gapMm))}
              />
            </li>
          )
        })}
      </ol>
      {outOfOrder(settings) && (
        <p role="alert" className="mt-1 border-l-5 border-danger pl-3 leading-snug">
          A setting that should be thinner is not. Measure it again, or turn the numbers round.
        </p>
      )}
    </>
  )
}

function RollerRow({
  roller,
  onChange,
  onRemove,
}: {
  roller: KeptRoller
  onChange: (edit: Edit) => void
  onRemove: () => void
}) {
  const { lengthFigure, units } = useUnits()
  return (
    <li className="border-b border-line py-2">
      <div className="flex items-baseline gap-3">
        <TextField
          className="head min-w-0 flex-1 text-lg"
          label="Name of the roller"
          value={roller.name}
          max={120}
          required
          onChange={(name) => onChange((now) => ({ ...now, name }))}
        />
        <button type="button" className="quiet text-sm" aria-label={`Remove ${roller.name}`} onClick={onRemove}>
          Remove
        </button>
      </div>
      <p className="small mt-1">
        <QuantityField
          label={`${roller.name}, width`}
          shown={lengthFigure(roller.widthMm)}
          unit="mm"
          min={20}
          max={2000}
          widthCh={5}
          className="text-lg font-semibold text-ink"
          onChange={(widthMm) => onChange((now) => ({ ...now, widthMm }))}
        />{' '}
        {units.length} wide,{' '}
        <QuantityField
          label={`${roller.name}, settings`}
          shown={formatNumber(roller.settings, 0)}
          unit="count"
          min={2}
          max={40}
          widthCh={3}
          className="text-lg font-semibold text-ink"
          onChange={(settings) => onChange((now) => withSettings(now, Math.round(settings)))}
        />{' '}
        settings, {roller.widest === 'first' ? '1 the widest' : '1 the thinnest'}{' '}
        <button
          type="button"
          className="quiet"
          aria-label={`Turn round the numbers of ${roller.name}`}
          onClick={() => onChange(turned)}
        >
          turn round
        </button>
        . A sheet leaves{' '}
        <QuantityField
          label={`${roller.name}, spring-back`}
          shown={formatNumber(roller.springBack, 2)}
          unit="count"
          min={1}
          max={1.5}
          widthCh={4}
          className="text-lg font-semibold text-ink"
          onChange={(springBack) => onChange((now) => ({ ...now, springBack }))}
        />{' '}
        times as thick as its gap
      </p>
      <Dial roller={roller} onChange={onChange} />
    </li>
  )
}

export function Rollers({ gear }: { gear: Gear }) {
  const { units } = useUnits()
  return (
    <Section
      title="Rollers"
      lead={`Gaps in ${units.length}. Measure two settings and type them in: bold is measured, the rest follows.`}
    >
      {gear.rollers.length === 0 && (
        <p className="py-2">Your sheeter would stand here, and the shapes would name its settings.</p>
      )}
      <ul>
        {gear.rollers.map((roller) => (
          <RollerRow
            key={roller.id}
            roller={roller}
            onChange={(edit) => void changePart('roller', roller.id, edit)}
            onRemove={() => removePart('roller', roller)}
          />
        ))}
      </ul>
      {gear.rollers.length < ROOM_FOR && (
        <button type="button" className="quiet mt-2" onClick={() => void addPart('roller', fresh())}>
          Add a roller
        </button>
      )}
    </Section>
  )
}
