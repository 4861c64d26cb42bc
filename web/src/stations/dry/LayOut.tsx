/** Laying a tray: how much of the batch, on what, in which room and under what. */
import { doughMoisture, formatPercent, LAYINGS, type Laying, type Place, type TrayLayout } from '@harina/core'
import { endsAt, overOf, pieceBodyOf, spotIn } from '@harina/core/rack'
import { nanoid } from 'nanoid'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { recordTap } from '#web/state/bench.ts'
import { useKitchen, type RunningBatch } from '#web/state/select.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { Segments } from '#web/ui/Segments.tsx'
import { useUnits } from '#web/ui/units.ts'
import { airWords, coverWords, layingWords, roomAirWords } from '#web/words/index.ts'
import { practise, unlaidG } from './rack.ts'

/** Hours of the tray in one of the clock, to practise with. */
const PRACTICE_PACE = 600
const USUAL_TRAY_G = 400

/** The driest room: what the air holds a dough at is lowest there. */
const driestOf = (places: readonly Place[]): Place | undefined =>
  [...places].sort((a, b) => endsAt(a).moisture - endsAt(b).moisture)[0]

export function WhereEnds({ place }: { place: Pick<Place, 'temperatureC' | 'rhPercent' | 'night' | 'name'> }) {
  const { moisture, reaches } = endsAt(place)
  const percent = formatPercent(100 * moisture)
  if (reaches === 'never')
    return (
      <span className="font-semibold text-danger">
        Never dry in {place.name}: its air holds the dough at {percent} %.
      </span>
    )
  return (
    <span>
      Its air ends at {percent} %{reaches === 'near' && ': so near the 12.5 wanted that the last of it takes very long'}
      .
    </span>
  )
}

export function LayOut({ running }: { running: RunningBatch }) {
  const { batch, state } = running
  const { plan } = batch
  const kitchen = useKitchen()
  const navigate = useNavigate()
  const { massFigure, units, temperature } = useUnits()
  const places = kitchen?.gear.places ?? []
  const [placeId, setPlaceId] = useState('')
  const [coverId, setCover] = useState('')
  const [laid, setLaid] = useState<Laying>('spread')
  const [faces, setFaces] = useState<TrayLayout['faces']>('both')
  const [practice, setPractice] = useState(false)
  const [grams, setGrams] = useState<number | null>(null)
  const before = state.trays.at(-1)
  const [trayG, setTrayG] = useState(before?.trayG ?? USUAL_TRAY_G)
  const shape = kitchen?.shapes.get(plan.shape.id)
  const place = places.find(({ id }) => id === placeId) ?? driestOf(places)
  const covers = kitchen?.gear.covers ?? []
  const over = covers.find(({ id }) => id === coverId)
  if (!shape || !place) return null
  const body = pieceBodyOf({ ...shape, blank: plan.shape.blank })
  const laidG = grams ?? unlaidG(running)
  const lay = async () => {
    const id = nanoid()
    const layout: TrayLayout = {
      body,
      moisture: doughMoisture(plan, state),
      laid,
      faces,
      spot: spotIn(place, over ? overOf(over) : null),
    }
    const name = `Tray ${state.trays.length + 1}`
    const pace = practice ? { pace: PRACTICE_PACE } : {}
    const stored = await recordTap(batch, { type: 'tray-laid', tray: id, name, grams: laidG, trayG, layout, ...pace })
    if (!stored) return
    if (practice) practise({ grams: laidG, trayG, layout, pace: PRACTICE_PACE })
    void navigate(`/dry/${id}`)
  }
  return (
    <section aria-label={`Lay out ${plan.sheet.name}`} className="flex max-w-160 flex-col gap-4">
      <div>
        <h1 className="head text-3xl">Lay out {plan.sheet.name}</h1>
        <p className="small">
          {plan.shape.name}, {formatPercent(100 * doughMoisture(plan, state))} % water. One layer dries evenly; what
          touches sticks.
        </p>
      </div>
      <p className="text-md">
        <QuantityField
          label="On this tray, grams"
          shown={massFigure(laidG, plan.scaleStepG)}
          unit="g"
          min={1}
          max={1_000_000}
          widthCh={6}
          className="text-4xl font-semibold"
          onChange={setGrams}
        />{' '}
        {units.mass} on a tray of{' '}
        <QuantityField
          label="The empty tray, grams"
          shown={massFigure(trayG, plan.scaleStepG)}
          unit="g"
          min={0}
          max={100_000}
          widthCh={5}
          className="text-2xl font-semibold"
          onChange={setTrayG}
        />{' '}
        {units.mass}
      </p>
      <Segments
        label="How they lie"
        options={LAYINGS.map((each) => [each, layingWords[each]] as const)}
        value={laid}
        onChange={setLaid}
      />
      <Segments
        label="Where the air comes to"
        options={[
          ['both', 'sieve or rack: air from both sides'],
          ['one', 'closed tray: air from above'],
        ]}
        value={faces}
        onChange={setFaces}
      />
      <div>
        <p className="flex flex-wrap items-baseline gap-x-2">
          in{' '}
          <Choice
            label="Room"
            className="field min-h-9 text-lg font-semibold"
            value={place.id}
            options={places.map((each) => [each.id, each.name] as const)}
            onChange={setPlaceId}
          />
          <span className="figure">
            {roomAirWords(place, temperature)}, {airWords[place.air]}
          </span>
        </p>
        <p className="mt-1 leading-snug" role="status">
          <WhereEnds place={place} />
        </p>
      </div>
      <Segments
        label="Cover"
        options={[['', coverWords(null)], ...covers.map((each) => [each.id, coverWords(each)] as const)]}
        value={coverId}
        onChange={setCover}
      />
      <label className="small flex items-center gap-2">
        <input type="checkbox" checked={practice} onChange={(event) => setPractice(event.target.checked)} />
        to practise: the played scale stands under it, and a day passes in two and a half minutes
      </label>
      <button type="button" className="action self-start" onClick={() => void lay()}>
        Lay it out
      </button>
    </section>
  )
}
