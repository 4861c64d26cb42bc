/** Rollers by their measured gaps: two are enough, the rest of the dial follows. */
import { gapFigure, settingsOf, type Gear, type KeptRoller, type Setting } from '@harina/core'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { PartList } from './PartList.tsx'

type Edit = (roller: KeptRoller) => KeptRoller

const measuredAt = (roller: KeptRoller, setting: number, gapMm: number): KeptRoller => ({
  ...roller,
  measured: [...roller.measured.filter((each) => each.setting !== setting), { setting, gapMm }].sort(
    (a, b) => a.setting - b.setting,
  ),
})

/** The numbers run the other way: what was measured at the first is at the last. */
const turned = (roller: KeptRoller): KeptRoller => ({
  ...roller,
  widest: roller.widest === 'first' ? 'last' : 'first',
  measured: roller.measured
    .map(({ setting, gapMm }) => ({ setting: roller.settings + 1 - setting, gapMm }))
    .sort((a, b) => a.setting - b.setting),
})

/** With fewer settings, what was measured beyond them goes. */
const withinSettings = (roller: KeptRoller): KeptRoller => ({
  ...roller,
  measured: roller.measured.filter((each) => each.setting <= roller.settings),
})

const outOfOrder = (settings: readonly Setting[]): boolean =>
  settings.some((setting, index) => index > 0 && setting.gapMm >= (settings[index - 1]?.gapMm ?? Infinity))

function Dial({ roller, onChange }: { roller: KeptRoller; onChange: (edit: Edit) => void }) {
  const words = useUnits()
  const settings = settingsOf(roller)
  const shown = new Map(settings.map((setting) => [setting.setting, setting]))
  return (
    <>
      <p className="small mt-2">Its gap at each setting, {words.units.length}</p>
      <ol className="flex flex-wrap gap-x-3 gap-y-1" aria-label={`Gaps of ${roller.name}`}>
        {Array.from({ length: roller.settings }, (_, index) => index + 1).map((setting) => {
          const found = shown.get(setting)
          return (
            <li key={setting} className="flex flex-col items-end">
              <span className="small">{setting}</span>
              <QuantityField
                label={`${roller.name}, gap at ${setting}`}
                shown={found ? words.gapFigure(found.gapMm) : ''}
                unit="mm"
                min={gapFigure.low}
                max={gapFigure.high}
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

export function Rollers({ gear }: { gear: Gear }) {
  return (
    <PartList
      part="roller"
      gear={gear}
      follows={withinSettings}
      slots={(roller, change) => ({
        dial: (
          <>
            {roller.widest === 'first' ? '1 the widest' : '1 the thinnest'}{' '}
            <button
              type="button"
              className="quiet"
              aria-label={`Turn round the numbers of ${roller.name}`}
              onClick={() => change(turned)}
            >
              turn round
            </button>
          </>
        ),
      })}
      under={(roller, change) => <Dial roller={roller} onChange={change} />}
    />
  )
}
