/** One tray: what it will weigh and when, one piece cut across as it dries, and what can be done with it. */
import { asRead, trayHours, type BenchAction, type Place, type Spot } from '@harina/core'
import { isOtherAir, overOf, spotIn } from '@harina/core/rack'
import { useState, type CSSProperties } from 'react'
import { Link } from 'react-router'
import { recordTap } from '#web/state/bench.ts'
import { atTheRack, takeBack } from '#web/state/takeBack.ts'
import { useKitchen, useFamily } from '#web/state/select.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { familyInk } from '#web/ui/family.tsx'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { ScaleStrip } from '#web/ui/scale/ScaleStrip.tsx'
import { TextField } from '#web/ui/TextField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { coverWords, hourOf, layingWords, roomAirWords, spotWords } from '#web/words/index.ts'
import { playedScale } from '#web/devices/scale.ts'
import { AskAir, readAirOf } from './AskAir.tsx'
import { DryingChart } from './DryingChart.tsx'
import { Programme } from './Programme.tsx'
import { usePastTrays, type OnRack } from './rack.ts'
import { Sections } from './Sections.tsx'
import { TrayNotes } from './TrayNotes.tsx'
import { useForecast } from './useForecast.ts'
import { WhatIf } from './WhatIf.tsx'

/** The weighing: read off the scale or typed, tray and all. */
function Weigh({ running, tray, dryG }: OnRack & { dryG: number }) {
  const { batch } = running
  const { scaleStepG } = batch.plan
  const { massFigure, mass, units } = useUnits()
  const [grams, setGrams] = useState<number | null>(null)
  const tooLight = grams !== null && grams - tray.trayG < dryG
  const write = async () => {
    if (grams === null || tooLight) return
    if (await recordTap(batch, { type: 'tray-weighed', tray: tray.id, grams })) setGrams(null)
  }
  return (
    <section aria-label={`Weigh ${tray.name}`} className="border-t border-ink pt-2">
      <p className="flex flex-wrap items-baseline gap-x-3 gap-y-2 text-md">
        <span>
          On the scale, tray and all{' '}
          <QuantityField
            label={`${tray.name} on the scale, grams`}
            shown={grams === null ? '' : massFigure(grams, scaleStepG)}
            unit="g"
            min={0.1}
            max={1_000_000}
            widthCh={7}
            className="text-4xl font-semibold"
            onChange={setGrams}
          />{' '}
          {units.mass}
        </span>
        <button
          type="button"
          className="action min-h-16 text-xl"
          disabled={grams === null || tooLight}
          onClick={() => void write()}
        >
          Weigh {tray.name.toLowerCase()}
        </button>
      </p>
      <ScaleStrip target={{ label: 'tray and all', targetG: null, take: setGrams, moving: tray.pace !== 1 }} />
      {tooLight && (
        <p role="alert" className="mt-1 border-l-5 border-danger pl-3">
          Less than its dry matter and the tray, {mass(dryG + tray.trayG, scaleStepG)}: nothing dries so far. Weigh with
          the tray, or put right what went on it.
        </p>
      )}
    </section>
  )
}

function Move({ tray, onAct }: Pick<OnRack, 'tray'> & { onAct: (action: BenchAction) => void }) {
  const { places = [], covers = [] } = useKitchen()?.gear ?? {}
  const here = tray.spots.at(-1)!.spot
  const move = (spot: Spot) => onAct({ type: 'tray-moved', tray: tray.id, spot })
  const place = places.find(({ name }) => name === here.place)
  const { temperature } = useUnits()
  const hasChanged = place !== undefined && isOtherAir(place, here)
  return (
    <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <span className="small">stands in</span>
      <Choice
        label="Move to"
        className="field min-h-9 font-semibold"
        value={place?.id ?? ''}
        options={places.map(({ id, name }) => [id, name] as const)}
        onChange={(id) => {
          const to = places.find((each) => each.id === id)
          if (to) move(spotIn(to, here.cover))
        }}
      />
      <Choice
        label="Cover"
        className="field min-h-9 font-semibold"
        value={covers.find(({ name }) => name === here.cover?.name)?.id ?? ''}
        none={coverWords(covers.some(({ name }) => name === here.cover?.name) ? null : here.cover)}
        options={covers.map((cover) => [cover.id, coverWords(cover)] as const)}
        onChange={(id) => {
          const cover = covers.find((each) => each.id === id)
          move({ ...here, cover: cover ? overOf(cover) : null })
        }}
      />
      {here.air !== 'cabinet' && (
        <button
          type="button"
          className="quiet"
          onClick={() => move({ ...here, air: here.air === 'fan' ? 'still' : 'fan' })}
        >
          {here.air === 'fan' ? 'Fan off' : 'Fan on'}
        </button>
      )}
      {hasChanged && (
        <button
          type="button"
          className="quiet text-left"
          onClick={() => move({ ...spotIn(place, here.cover), air: here.air })}
        >
          {here.guessed
            ? `${place.name} is measured now: ${roomAirWords(place, temperature)}. Use that`
            : `${place.name} has ${roomAirWords(place, temperature)} by now: count with it`}
        </button>
      )}
      {(tray.layout.laid !== 'spread' || tray.layout.faces === 'one') && (
        <button type="button" className="quiet" onClick={() => onAct({ type: 'tray-turned', tray: tray.id })}>
          Turned it
        </button>
      )}
    </p>
  )
}

function Throw({ tray, onAct }: Pick<OnRack, 'tray'> & { onAct: (action: BenchAction) => void }) {
  const [why, setWhy] = useState<string | null>(null)
  if (why === null)
    return (
      <button type="button" className="quiet" onClick={() => setWhy('')}>
        Throw it away
      </button>
    )
  return (
    <span className="flex flex-wrap items-baseline gap-3">
      <TextField className="box" label="Why" value={why} max={200} onChange={setWhy} />
      <button type="button" className="box min-h-11" onClick={() => onAct({ type: 'tray-thrown', tray: tray.id, why })}>
        Throw it away
      </button>
      <button type="button" className="quiet" onClick={() => setWhy(null)}>
        Keep it
      </button>
    </span>
  )
}

export function TrayPage({ running, tray, nowMs }: OnRack & { nowMs: number }) {
  const { batch } = running
  const { plan } = batch
  const { mass } = useUnits()
  const past = usePastTrays({ running, tray })
  const forecast = useForecast(tray, past, nowMs, plan.scaleStepG)
  const family = useFamily(plan)
  const act = (action: BenchAction) => {
    if (tray.pace !== 1 && action.type === 'tray-moved')
      void playedScale.act({ act: 'tray-air', spot: action.spot }).catch(() => undefined)
    void recordTap(batch, action)
  }
  const mayPack = forecast?.isDry || forecast?.isDue
  const here = tray.spots.at(-1)!.spot
  const place = useKitchen()?.gear.places.find(({ name }) => name === here.place)
  const readAir = async (read: Pick<Place, 'temperatureC' | 'rhPercent'>) => {
    if (place && !(await readAirOf(place, read))) return
    act({ type: 'tray-moved', tray: tray.id, spot: asRead(here, read) })
  }
  return (
    <div
      className="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_15.5rem]"
      style={{ '--family': familyInk[family] } as CSSProperties}
    >
      <div className="flex min-w-0 flex-col gap-4">
        <div>
          <h1 className="head text-3xl">
            {tray.name}, {plan.sheet.name}
          </h1>
          <p className="small">
            {plan.shape.name}, {layingWords[tray.layout.laid]}; {mass(tray.startG + tray.trayG, plan.scaleStepG)} went
            in, tray and all, {tray.pace === 1 ? hourOf(tray, 0) : `to practise with: ${tray.pace} hours in one`}.{' '}
            {spotWords(here)}.
          </p>
        </div>
        {tray.end?.how === 'thrown' && (
          <p className="border-l-5 border-danger pl-3 text-lg">
            Thrown away {hourOf(tray, trayHours(tray, Date.parse(tray.end.at)))}
            {tray.end.why && `: ${tray.end.why}`}
          </p>
        )}
        {here.guessed && !tray.end && (
          <AskAir name={here.place} temperatureC={here.temperatureC} onRead={(read) => void readAir(read)} />
        )}
        {forecast ? (
          <>
            <DryingChart tray={tray} forecast={forecast} stepG={plan.scaleStepG} />
            {!tray.end && <Weigh running={running} tray={tray} dryG={forecast.dryG} />}
            <Sections tray={tray} forecast={forecast} />
            {!tray.end && <Programme key={tray.id} running={running} tray={tray} forecast={forecast} />}
            {!tray.end && <WhatIf key={`if ${tray.id}`} tray={tray} model={forecast.model} world={forecast.world} />}
          </>
        ) : (
          <p role="status" className="min-h-80">
            Being worked out…
          </p>
        )}
      </div>
      <aside aria-label="Notes on this tray" className="flex flex-col gap-4">
        {forecast && <TrayNotes tray={tray} forecast={forecast} />}
        {!tray.end && (
          <div className="flex flex-col gap-3 border-t border-line pt-3">
            <Move tray={tray} onAct={act} />
            <button
              type="button"
              className="action min-h-11"
              onClick={() => act({ type: 'tray-packed', tray: tray.id })}
              disabled={!mayPack}
            >
              {mayPack ? 'Pack it' : 'Pack it once it is dry'}
            </button>
            <Throw tray={tray} onAct={act} />
          </div>
        )}
        <p className="flex flex-wrap gap-x-4 border-t border-line pt-2">
          <button type="button" className="quiet" onClick={() => void takeBack(atTheRack, tray.id, 'back')}>
            Undo
          </button>
          <Link to={`/bench/${batch.id}`} className="quiet">
            {tray.end?.how === 'packed' ? 'To the pot' : 'The batch'}
          </Link>
        </p>
      </aside>
    </div>
  )
}
