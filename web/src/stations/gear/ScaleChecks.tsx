/** Scales against a known weight: what they showed, when, and whether that is good enough. */
import { checkScale, formatNumber, MAX_SCALE_CHECKS, plainTextFrom, type Gear, type ScaleCheck } from '@harina/core'
import { format, formatDistanceToNowStrict } from 'date-fns'
import { useState } from 'react'
import { timeNow } from '../../state/bench.ts'
import { changeGear } from '../../state/gear.ts'
import { say } from '../../state/workspace.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useUnits } from '../../ui/units.ts'
import { Section } from './Section.tsx'

/** As finely as it was written. */
const fineness = (grams: number) => (grams % 1 === 0 ? 1 : 0.1)

function Verdict({ check }: { check: ScaleCheck }) {
  const { mass } = useUnits()
  const { offG, offPercent, fine, points } = checkScale(check)
  if (fine) return <span>true</span>
  return (
    <span className="font-semibold">
      {offG > 0 ? 'reads high' : 'reads low'} by {mass(Math.abs(offG), check.stepG)},{' '}
      {formatNumber(Math.abs(offPercent), 1)} %
      <span className="block font-normal text-second">
        {formatNumber(points, 1)} points beside another scale or a jug. Level it, renew the battery, check again.
      </span>
    </span>
  )
}

/** The last check of each scale; older ones are kept with it. */
function lastOfEach(checks: readonly ScaleCheck[]): readonly ScaleCheck[] {
  return [...new Map(checks.map((check) => [check.scale, check])).values()].reverse()
}

function NewCheck({ gear }: { gear: Gear }) {
  const { massFigure, units } = useUnits()
  const [scale, setScale] = useState('')
  const [knownG, setKnown] = useState(500)
  const [shownG, setShown] = useState<number | null>(null)
  const names = lastOfEach(gear.scaleChecks).map((check) => check.scale)
  const keep = () => {
    if (shownG === null) return
    const stepG = Math.min(10, Math.max(0.01, shownG % 1 === 0 ? gear.scaleStepG : 0.1))
    const check = { at: timeNow(), scale: scale.trim() || 'Bench scale', stepG, knownG, shownG }
    const kept = changeGear((now) => ({ ...now, scaleChecks: [...now.scaleChecks, check].slice(-MAX_SCALE_CHECKS) }))
    setShown(null)
    void say('Written down', kept)
  }
  const figure = 'text-2xl font-semibold text-ink'
  return (
    <div className="pt-2">
      <p className="flex flex-wrap items-baseline gap-x-2 gap-y-1">
        <input
          className="field head w-[13ch] text-lg"
          aria-label="Which scale"
          placeholder="Bench scale"
          list="scales-checked"
          value={scale}
          maxLength={60}
          onChange={(event) => setScale(plainTextFrom(event.target.value, 60))}
        />
        <datalist id="scales-checked">
          {names.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        with{' '}
        <QuantityField
          label="Known weight"
          shown={massFigure(knownG, fineness(knownG))}
          unit="g"
          min={0.1}
          max={100_000}
          widthCh={6}
          className={figure}
          onChange={setKnown}
        />
        {units.mass} showed{' '}
        <QuantityField
          label="What it showed"
          shown={shownG === null ? '' : massFigure(shownG, fineness(shownG))}
          unit="g"
          min={0}
          max={100_000}
          widthCh={6}
          className={figure}
          onChange={setShown}
        />
        {units.mass}
      </p>
      <button type="button" className="box mt-2 min-h-11 px-4" disabled={shownG === null} onClick={keep}>
        Write the check down
      </button>
    </div>
  )
}

export function ScaleChecks({ gear }: { gear: Gear }) {
  const { mass } = useUnits()
  return (
    <Section title="Check the scale" lead="A weight you know, on a level scale.">
      <ul aria-label="Scale checks">
        {lastOfEach(gear.scaleChecks).map((check) => (
          <li key={check.scale} className="border-b border-line py-1 text-base leading-snug">
            <span className="head">{check.scale}</span>, {format(check.at, 'd MMM')}{' '}
            <span className="small">({formatDistanceToNowStrict(check.at)} ago)</span>:{' '}
            {mass(check.knownG, check.stepG)} shown as {mass(check.shownG, check.stepG)}; <Verdict check={check} />
          </li>
        ))}
      </ul>
      {gear.scaleChecks.length === 0 && <p className="small">Never checked. Once a month is usual.</p>}
      <NewCheck gear={gear} />
    </Section>
  )
}
