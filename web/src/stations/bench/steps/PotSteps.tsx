/** Into the heat: cooked at once, or dropped in potful by potful. */
import {
  AFTER_POT,
  afterPotOf,
  boilKey,
  clockMinutes,
  FILLING_DONE_C,
  madeG,
  potNow,
  formatNumber,
  MOST_MINUTES,
  stepsOf,
  type StepOf,
} from '@harina/core'
import { floated, mayFloat, onThePlate, turnOut } from '@harina/core/stove'
import { useMemo } from 'react'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { ShapeEngraving } from '#web/ui/ShapeEngraving.tsx'
import { useClock } from '#web/ui/useNow.ts'
import { useUnits } from '#web/ui/units.ts'
import { PotSalt } from '#web/ui/PotSalt.tsx'
import { usePot, type PotOf } from '#web/ui/usePot.ts'
import { StepPage } from '../StepPage.tsx'
import { Note, useBench, useStep } from '../view.tsx'
import { forget } from './OwnMinutes.tsx'
import { Timed } from './Timed.tsx'
import {
  afterPotWords,
  afterSteps,
  batchesWords,
  counted,
  capital,
  doneWords,
  dropTestWords,
  dropWords,
  keptAs,
  minutesWords,
  minuteSpan,
  toTheSixth,
} from '#web/words/index.ts'

const boiling = (
  <Note title="Boiling water" grade="caution">
    No more than three quarters full. Lower pieces in on a spider, handles turned in, drain away from you; floury pieces
    foam up fast.
  </Note>
)

const heatWords: Readonly<
  Record<StepOf<'cook'>['how'], { title: string; start: string; from: string; caution: string }>
> = {
  boil: { title: 'Cook', start: 'Boil is back', from: 'Start the clock when the boil is back.', caution: '' },
  bake: {
    title: 'Bake',
    start: 'In the oven',
    from: 'Start the clock when the dish goes in hot.',
    caution: 'Use dry cloths, and stand back as you open the oven: hot steam comes out.',
  },
  pan: {
    title: 'Fry, then steam',
    start: 'In the pan',
    from: 'Start the clock when they are set down.',
    caution: 'Water into hot fat spits: lid in hand, pour at the rim, cover at once.',
  },
  steam: {
    title: 'Steam',
    start: 'Steam is up',
    from: 'Start the clock when the steam is back.',
    caution: 'Open the lid away from you, and wait for the cloud to go.',
  },
}

/** The pot of the batch at the bench: as the Pot station tells it. */
function usePotHere(): PotOf | null {
  const { running } = useBench()
  const all = useMemo(() => [running], [running])
  return usePot(all).get(running.batch.id) ?? null
}

/** Out: a turn of several, or the last, with the minutes it took. */
function useOut(pot: PotOf | null) {
  const { running, step } = useBench()
  return (elapsed: number) => {
    const { batch } = running
    if (pot && pot.turn < pot.turns && pot.clock) return void recordTap(batch, ...turnOut(step.id, pot.turn))
    return void finishStep(
      batch,
      { type: 'timer-stopped', timer: step.id },
      ...(elapsed > 0
        ? [{ type: 'cooked', minutes: Math.min(MOST_MINUTES, Number(elapsed.toFixed(1))) } as const]
        : []),
    )
  }
}

function CookingMinutes({ pot }: { pot: PotOf }) {
  const { running } = useBench()
  const floats = useClock((nowMs) => mayFloat(pot, nowMs))
  const { plan } = running.batch
  const { shape, learnt, table, span, finish, clock, afterFloatMin, stepId } = pot
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-10 gap-y-3 border-t border-line pt-4">
      <ShapeEngraving shape={shape} width={240} height={140} withScale />
      <div>
        <p className="figure text-3xl leading-snug">
          {plan.shape.name}, {keptAs[finish ?? 'cook']}:
          <br />
          <span className="text-5xl font-semibold">{minuteSpan(span)}</span>
        </p>
        {learnt.n > 0 && (
          <p className="small mt-1">
            From {batchesWords(learnt.n)} of yours; the table says {minuteSpan(table)}.{' '}
            <button type="button" className="quiet" onClick={() => forget(boilKey(shape.id))}>
              Forget it
            </button>
          </p>
        )}
        {clock && afterFloatMin !== null && floats && (
          <button
            type="button"
            className="press mt-3 min-h-14 px-5"
            onClick={() => void recordTap(running.batch, floated(stepId, clock, afterFloatMin, Date.now()))}
          >
            They float
          </button>
        )}
      </div>
    </div>
  )
}

/** Water and salt for what is cooked now, and how often the pot is filled with dough. */
function PotNote({ pot: { water } }: { pot: PotOf }) {
  const { running } = useBench()
  const { saltGPerL } = potNow(running.batch.plan, running.state)
  const { mass } = useUnits()
  const { litres, saltG, turns, eachG, potL, pot: vessel } = water
  const salted = saltGPerL === 0 ? 'Do not salt the water.' : `Salt it once, with ${mass(saltG)}.`
  const pot = `${vessel.name}, ${litreWords(potL)} to the brim`
  return (
    <Note title={turns > 1 ? `${counted(turns, 'turn')} of ${mass(eachG)}` : `${litreWords(litres)} of water`}>
      {turns > 1 && `${pot}, ${litreWords(litres)} of water. `}
      {salted}{' '}
      {turns > 1
        ? 'Wait for the boil before the next goes in, and top up from a kettle.'
        : 'The boil should come back within a minute. If it does not, cook in smaller turns.'}
    </Note>
  )
}

const litreWords = (litres: number): string => `${formatNumber(litres, litres % 1 === 0 ? 0 : 1)} L`

/** The middle of one, by thermometer; the last of them stands. */
function CoreHeat() {
  const { running, step } = useBench()
  const { temperature, temperatureFigure, units } = useUnits()
  const { plan } = running.batch
  if (!plan.steps.some(({ kind }) => kind === 'fill')) return null
  const last = running.state.cores.at(-1)
  const isCool = last !== undefined && last.celsius < FILLING_DONE_C
  return (
    <p className="flex flex-wrap items-baseline gap-x-2 text-md">
      The middle of the thickest{' '}
      <QuantityField
        key={step.id}
        label="The middle of one, by thermometer"
        shown={last ? temperatureFigure(last.celsius) : ''}
        unit="°C"
        min={-30}
        max={120}
        widthCh={5}
        className="text-3xl font-semibold"
        onChange={(celsius) => void recordTap(running.batch, { type: 'core-measured', celsius })}
      />
      {units.temperature}.{' '}
      <span className={isCool ? 'font-semibold text-danger' : ''} role="status">
        {isCool
          ? `Not yet: it needs ${temperature(FILLING_DONE_C)} in the middle. Give it another minute, then measure another piece.`
          : last
            ? 'Hot through.'
            : `Done at ${temperature(FILLING_DONE_C)} in the middle, whatever the clock says.`}
      </span>
    </p>
  )
}

/** What the dark buttons say, of one turn or of several. */
const labelsOf = ({ turn, turns }: PotOf, start: string, done: string) =>
  turns === 1
    ? { startLabel: start, doneLabel: done }
    : {
        startLabel: turn === 1 ? `${start}: 1 of ${turns}` : `Boil is back: ${turn} of ${turns} in`,
        doneLabel: turn < turns ? `Out: ${turn} of ${turns}` : done,
      }

export function CookStep() {
  const step = useStep('cook')
  const { how } = step
  const pot = usePotHere()
  const out = useOut(pot)
  if (!pot) return null
  const words = heatWords[how]
  const atMin = toTheSixth(pot.tasteAtMin)
  const boiled = how === 'boil'
  return (
    <Timed
      timer="cook"
      title={words.title}
      lead={
        pot.byClock
          ? `${words.from} Lift them when it rings, at ${minutesWords(atMin)}.`
          : `${words.from} Taste first at ${minutesWords(atMin)}: ${doneWords(step, pot.shape.doneSign)}.`
      }
      minutes={atMin}
      {...labelsOf(boiled ? pot : { ...pot, turns: 1 }, words.start, 'Cooked')}
      onDone={out}
      aside={
        boiled ? (
          <>
            <PotNote pot={pot} />
            {boiling}
          </>
        ) : (
          <Note title="Heat" grade="caution">
            {words.caution}
          </Note>
        )
      }
    >
      <CookingMinutes pot={pot} />
      <CoreHeat />
      {boiled && <SaltToday pot={pot} />}
      {boiled && <AfterThePot />}
    </Timed>
  )
}

/** How salty the water is today, and what of it is eaten. */
function SaltToday({ pot: { cooking, finish } }: { pot: PotOf }) {
  const { running } = useBench()
  const plate = cooking && onThePlate(running.batch.plan, running.state, cooking, finish)
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 border-t border-line pt-3 text-md">
      <span>
        Salt in the water <PotSalt running={running} />
      </span>
      {plate && (
        <span className="small">
          100 g of it bring {formatNumber(plate.saltG[0], 1)} to {formatNumber(plate.saltG[1], 1)} g of salt to the
          plate.
        </span>
      )}
    </div>
  )
}

/** As it is, rinsed, in ice or finished in a pan: as it is wanted today. */
function AfterThePot() {
  const { running } = useBench()
  const { batch, state } = running
  const chosen = afterPotOf(stepsOf(batch.plan, state))
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-line pt-3">
      <span className="text-md">After the pot</span>
      <div role="group" aria-label="After the pot" className="flex flex-wrap">
        {AFTER_POT.map((how) => (
          <button
            key={how}
            type="button"
            aria-pressed={chosen === how}
            className="press -mt-px -ml-px min-h-11 px-4"
            onClick={() => void recordTap(batch, { type: 'after-pot', how })}
          >
            {afterPotWords[how]}
          </button>
        ))}
      </div>
    </div>
  )
}

export function RinseStep() {
  const { how } = useStep('rinse')
  return how ? <ByTheClock how={how} /> : <UnderWater />
}

function UnderWater() {
  const { running } = useBench()
  return (
    <StepPage
      title="Rinse"
      lead="Straight from the sieve under cold running water, lifted and rubbed until they no longer feel slick."
      action={{ label: 'Rinsed, go on', run: () => void finishStep(running.batch) }}
      aside={
        <Note title="Why">
          The starch outside would glue them. Served hot, they go back into the boil for the time it takes to count to
          ten.
        </Note>
      }
    >
      <p className="text-lg">Lift one out and bite it: cold through, and springy.</p>
    </StepPage>
  )
}

/** These clocks ask nothing of what is left. */
const NOTHING_LEFT = { roomLeftMin: 0, fridgeLeftH: 0 }
/** Cooking water that loosens a sauce, tablespoons for 100 g of fresh dough. Usual practice. */
const SPOONS_PER_100G = 1.5

/** Into ice, or into a pan with what dresses it. */
function ByTheClock({ how }: { how: keyof typeof afterSteps }) {
  const { running, step } = useBench()
  const { batch, state } = running
  const { title, lead, start, done, note } = afterSteps[how]
  const spoons = Math.max(1, Math.round((madeG(batch.plan, state) / 100) * SPOONS_PER_100G))
  return (
    <Timed
      timer={step.id}
      title={title}
      lead={lead}
      minutes={clockMinutes(batch.plan, state, step, NOTHING_LEFT)}
      startLabel={start}
      doneLabel={done}
      onDone={() => void finishStep(batch, { type: 'timer-stopped', timer: step.id })}
      aside={
        <Note title={note.title} grade={note.caution ? 'caution' : 'note'}>
          {note.text}
        </Note>
      }
    >
      {(how === 'toss' || how === 'cream') && (
        <p className="text-lg">Keep {counted(spoons, 'tablespoon')} of cooking water beside the pan.</p>
      )}
    </Timed>
  )
}

export function DropStep() {
  const { running } = useBench()
  const step = useStep('drop')
  const { blank } = running.batch.plan.shape
  const { mass } = useUnits()
  const pot = usePotHere()
  const out = useOut(pot)
  if (!pot) return null
  const { turns, water, grams, afterFloatMin } = pot
  return (
    <Timed
      timer={step.id}
      title="Drop them in"
      lead={`${blank.type === 'drop' ? `${capital(dropWords[blank.by])}. ` : ''}Start the clock when they are in${afterFloatMin === null ? '' : ', and say when they float'}. Done: ${doneWords(step, pot.shape.doneSign)}.`}
      minutes={toTheSixth(pot.tasteAtMin)}
      {...labelsOf(pot, 'They are in', 'All cooked')}
      onDone={out}
      aside={
        <>
          <PotNote pot={pot} />
          {blank.type === 'drop' && <Note title="Thick enough?">{dropTestWords[blank.by]}</Note>}
          {boiling}
        </>
      }
    >
      <p className="text-lg">
        {turns === 1 ? `All of it at once: ${mass(grams)}.` : `${counted(turns, 'potful')} of ${mass(water.eachG)}.`}
      </p>
      <CookingMinutes pot={pot} />
      <SaltToday pot={pot} />
      <AfterThePot />
    </Timed>
  )
}
