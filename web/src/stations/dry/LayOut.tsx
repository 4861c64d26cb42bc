/** Laying a tray: how much of the batch, on what, in which room and under what. */
import {
  doughMoisture,
  DRIED_FROM,
  DRIED_MOISTURE,
  DRIED_TO,
  formatNumber,
  formatPercent,
  LAYINGS,
  type Laying,
  type Place,
  type TrayLayout,
} from '@harina/core'
import { activityAt, BRITTLE_BELOW, dryingBodyOf, endsAt, moistureAt, overOf, spotIn } from '@harina/core/rack'
import { nanoid } from 'nanoid'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { recordTap } from '#web/state/bench.ts'
import { preferred } from '#web/state/preferencesSlice.ts'
import { useKitchen, type RunningBatch } from '#web/state/select.ts'
import { useApp, useAppDispatch } from '#web/state/store.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { Segments } from '#web/ui/Segments.tsx'
import { Term } from '#web/ui/Term.tsx'
import { useUnits } from '#web/ui/units.ts'
import { airWords, coverWords, layingWords, pointsOver, roomAirWords } from '#web/words/index.ts'
import { AskAir, readAirOf } from './AskAir.tsx'
import { practise, unlaidG } from './rack.ts'

/** Hours of the tray in one of the clock, to practise with. */
const PRACTICE_PACE = 600
const USUAL_TRAY_G = 400

/** The driest room: what the air holds a dough at is lowest there. */
const driestOf = (places: readonly Place[]): Place | undefined =>
  [...places].sort((a, b) => endsAt(a).moisture - endsAt(b).moisture)[0]

function WhereEnds({ place, target }: { place: Place; target: number }) {
  const { moisture, reaches } = endsAt(place, target)
  const percent = formatPercent(100 * moisture)
  if (reaches === 'never')
    return (
      <span className="font-semibold text-danger">
        Never dry in {place.name}: its air holds the dough at {percent} %, {pointsOver(moisture, target)} too much.
      </span>
    )
  return (
    <span>
      Its air ends at {percent} %
      {reaches === 'near' && `: so near the ${formatPercent(100 * target)} wanted that the last of it takes very long`}.
    </span>
  )
}

/** What is chosen of a tray before it lies there; grams of null are all that lie nowhere yet. */
interface Choices {
  readonly grams: number | null
  readonly trayG: number
  readonly laid: Laying
  readonly faces: TrayLayout['faces']
  readonly place: string
  readonly cover: string
  readonly practice: boolean
}

/** The tray as chosen, and laying it; null while there is no room or shape to lay it by. */
function useTrayToLay(running: RunningBatch) {
  const { batch, state } = running
  const { plan } = batch
  const kitchen = useKitchen()
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const target = useApp((state) => state.preferences.driedTo)
  const [chosen, setChosen] = useState<Choices>({
    grams: null,
    trayG: state.trays.at(-1)?.trayG ?? USUAL_TRAY_G,
    laid: 'spread',
    faces: 'both',
    place: '',
    cover: '',
    practice: false,
  })
  if (!kitchen) return null
  const { places, covers } = kitchen.gear
  const place = places.find(({ id }) => id === chosen.place) ?? driestOf(places)
  const shape = kitchen.shapes.get(plan.shape.id)
  if (!shape || !place) return null
  const cover = covers.find(({ id }) => id === chosen.cover)
  const grams = chosen.grams ?? unlaidG(running)
  const { trayG, laid, faces, practice } = chosen
  const moisture = doughMoisture(plan, state)
  const lay = async () => {
    const id = nanoid()
    const body = dryingBodyOf({ ...shape, blank: plan.shape.blank })
    const layout: TrayLayout = {
      body,
      moisture,
      laid,
      faces,
      target,
      spot: spotIn(place, cover ? overOf(cover) : null),
    }
    const name = `Tray ${state.trays.length + 1}`
    const pace = practice ? { pace: PRACTICE_PACE } : {}
    if (!(await recordTap(batch, { type: 'tray-laid', tray: id, name, grams, trayG, layout, ...pace }))) return
    if (practice) practise({ grams, trayG, layout, pace: PRACTICE_PACE })
    void navigate(`/dry/${id}`)
  }
  const choose = (part: Partial<Choices>) => setChosen((before) => ({ ...before, ...part }))
  const dryTo = (driedTo: number) => dispatch(preferred({ driedTo: Math.min(DRIED_TO, Math.max(DRIED_FROM, driedTo)) }))
  return { chosen, choose, lay, places, covers, place, grams, moisture, target, dryTo }
}
type ToLay = NonNullable<ReturnType<typeof useTrayToLay>>

function HowMuch({ tray: { chosen, choose, grams }, stepG }: { tray: ToLay; stepG: number }) {
  const { massFigure, units } = useUnits()
  return (
    <p className="text-md">
      <QuantityField
        label="On this tray, grams"
        shown={massFigure(grams, stepG)}
        unit="g"
        min={1}
        max={1_000_000}
        widthCh={6}
        className="text-4xl font-semibold"
        onChange={(next) => choose({ grams: next })}
      />{' '}
      {units.mass} on a tray of{' '}
      <QuantityField
        label="The empty tray, grams"
        shown={massFigure(chosen.trayG, stepG)}
        unit="g"
        min={0}
        max={100_000}
        widthCh={5}
        className="text-2xl font-semibold"
        onChange={(trayG) => choose({ trayG })}
      />{' '}
      {units.mass}
    </p>
  )
}

function Room({ tray: { places, place, choose, target } }: { tray: ToLay }) {
  const { temperature } = useUnits()
  return (
    <div>
      <p className="flex flex-wrap items-baseline gap-x-2">
        in{' '}
        <Choice
          label="Room"
          className="field min-h-9 text-lg font-semibold"
          value={place.id}
          options={places.map((each) => [each.id, each.name] as const)}
          onChange={(id) => choose({ place: id })}
        />
        <span className="figure">
          {place.guessed ? airWords[place.air] : `${roomAirWords(place, temperature)}, ${airWords[place.air]}`}
        </span>
      </p>
      {place.guessed ? (
        <AskAir
          key={place.id}
          name={place.name}
          temperatureC={place.temperatureC}
          onRead={(read) => void readAirOf(place, read)}
        />
      ) : (
        <p className="mt-1 leading-snug" role="status">
          <WhereEnds place={place} target={target} />
        </p>
      )}
    </div>
  )
}

/** As water, or as what the water in it can do: either way the same figure. */
function DryTo({ tray: { target, dryTo } }: { tray: ToLay }) {
  return (
    <div>
      <p className="flex flex-wrap items-baseline gap-x-2">
        dry to
        <QuantityField
          label="Dry to, percent water"
          shown={formatPercent(100 * target)}
          unit="%"
          min={100 * DRIED_FROM}
          max={100 * DRIED_TO}
          widthCh={5}
          className="text-lg font-semibold"
          onChange={(percent) => dryTo(percent / 100)}
        />
        % water, a <Term of="water activity">water activity</Term> of
        <QuantityField
          label="Dry to, water activity"
          shown={formatNumber(activityAt(target), 2)}
          unit="count"
          min={Number(activityAt(DRIED_FROM).toFixed(2))}
          max={Number(activityAt(DRIED_TO).toFixed(2))}
          widthCh={5}
          className="text-lg font-semibold"
          onChange={(activity) => dryTo(moistureAt(activity))}
        />
      </p>
      <p className="small mt-1 leading-snug">{keepingWords(target)}</p>
    </div>
  )
}

function keepingWords(target: number): string {
  if (target < BRITTLE_BELOW)
    return 'Nothing grows in pieces this dry, but they break easily. Pack them in a stiff box.'
  if (target > DRIED_MOISTURE) return 'This is just dry enough to keep. Store it airtight on a dry, cool shelf.'
  return 'It keeps in an airtight jar.'
}

export function LayOut({ running }: { running: RunningBatch }) {
  const { plan } = running.batch
  const tray = useTrayToLay(running)
  if (!tray) return null
  const { chosen, choose, lay, covers, moisture } = tray
  return (
    <section aria-label={`Lay out ${plan.sheet.name}`} className="flex max-w-160 flex-col gap-4">
      <div>
        <h1 className="head text-3xl">Lay out {plan.sheet.name}</h1>
        <p className="small">
          {plan.shape.name}, {formatPercent(100 * moisture)} % water. One layer dries evenly; what touches sticks.
        </p>
      </div>
      <HowMuch tray={tray} stepG={plan.scaleStepG} />
      <Segments
        label="How they lie"
        options={LAYINGS.map((each) => [each, layingWords[each]] as const)}
        value={chosen.laid}
        onChange={(laid) => choose({ laid })}
      />
      <Segments
        label="Where the air comes to"
        options={[
          ['both', 'sieve or rack: air from both sides'],
          ['one', 'closed tray: air from above'],
        ]}
        value={chosen.faces}
        onChange={(faces) => choose({ faces })}
      />
      <Room tray={tray} />
      <Segments
        label="Cover"
        options={[['', coverWords(null)], ...covers.map((each) => [each.id, coverWords(each)] as const)]}
        value={chosen.cover}
        onChange={(cover) => choose({ cover })}
      />
      <DryTo tray={tray} />
      <label className="small flex items-center gap-2">
        <input
          type="checkbox"
          checked={chosen.practice}
          onChange={(event) => choose({ practice: event.target.checked })}
        />
        to practise: the played scale stands under it, and a day passes in two and a half minutes
      </label>
      <button type="button" className="action self-start" onClick={() => void lay()}>
        Lay it out
      </button>
    </section>
  )
}
