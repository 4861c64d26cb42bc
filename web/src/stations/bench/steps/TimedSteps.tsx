/** The steps that a clock runs for, from a steaming potato to a dough back from the fridge. */
import {
  clockMinutes,
  cookedAlready,
  formatNumber,
  isCookery,
  isWorkedWarm,
  kneading,
  minutesKey,
  offeredRest,
  WORKERS,
  type StepOf,
} from '@harina/core'
import { format } from 'date-fns'
import { KNEADING_WARMS_C } from '@harina/core/heat'
import { finishStep } from '#web/state/bench.ts'
import { useNow } from '#web/ui/useNow.ts'
import { useUnits } from '#web/ui/units.ts'
import { StepPage } from '../StepPage.tsx'
import { Big, Note, useBench, useStep } from '../view.tsx'
import { useLeftForStep } from '../WarmLeft.tsx'
import { InTheBowl } from './BowlRule.tsx'
import { BoardFlour } from './BoardFlour.tsx'
import { FeelAgain } from './FeelAgain.tsx'
import { Timed } from './Timed.tsx'
import { Term } from '#web/ui/Term.tsx'
import { WhoWorks } from './WhoWorks.tsx'
import {
  counted,
  hoursWords,
  kneadLead,
  kneadNote,
  kneadTitle,
  kneadSign,
  kneadSpan,
  prepareWords,
  restedWords,
  restSpanWords,
  roughG,
  workerWords,
} from '#web/words/index.ts'

/** What the clock of the step shown is set to. */
function useClockMinutes(): number {
  const { running, step } = useBench()
  return clockMinutes(running.batch.plan, running.state, step, useLeftForStep())
}

/** Ends the step and its clock. */
function useDone() {
  const { running, step } = useBench()
  return () => void finishStep(running.batch, { type: 'timer-stopped', timer: step.id })
}

/** What goes in raw, and what is left of it to go onto the scale. */
function BaseWeights({ step: { rawG, leftG } }: { step: StepOf<'prepare'> }) {
  const { massFigure, units } = useUnits()
  if (rawG === undefined && leftG === undefined) return null
  return (
    <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
      {rawG !== undefined && <Big label="raw, about" figure={massFigure(roughG(rawG))} unit={units.mass} small />}
      {leftG !== undefined && <Big label="leaves about" figure={massFigure(roughG(leftG))} unit={units.mass} small />}
    </div>
  )
}

/** It was cooked before this batch began, today or yesterday. */
function CookedAlready({ step }: { step: StepOf<'prepare'> }) {
  const { running } = useBench()
  const { batch, state } = running
  if (!isCookery(step.what) || state.timers[step.id]) return null
  const steams = batch.plan.steps.some((each) => each.kind === 'prepare' && each.what === 'steam')
  const ways = steams ? (['hot', 'cold'] as const) : (['cooked'] as const)
  return (
    <p className="flex flex-wrap items-baseline gap-3 border-t border-line pt-3 text-md">
      Cooked already?
      {ways.map((way) => (
        <button
          key={way}
          type="button"
          className="press min-h-11"
          onClick={() =>
            void finishStep(
              batch,
              ...cookedAlready(batch.plan.steps, step, way === 'cold')
                .filter((id) => id !== step.id)
                .map((id) => ({ type: 'step-done', step: id }) as const),
            )
          }
        >
          {cookedWays[way]}
        </button>
      ))}
    </p>
  )
}
const cookedWays = { hot: 'Cooked and hot', cold: 'Cold, no steam left', cooked: 'Cooked, go on' } as const

export function PrepareStep() {
  const step = useStep('prepare')
  const { temperature } = useUnits()
  const words = prepareWords[step.what]
  return (
    <Timed
      timer={step.id}
      title={words.title}
      lead={words.lead}
      minutes={useClockMinutes()}
      startLabel="Start the clock"
      doneLabel={words.done}
      skipLabel={words.already}
      onDone={useDone()}
      aside={
        <>
          {step.belowC !== null && (
            <Note title={`Below ${temperature(step.belowC)} before the flour`}>
              {isWorkedWarm(step.belowC)
                ? 'Warm potato binds at once and wants less flour. It sticks, so shape it fast, and leave out egg: it would set.'
                : 'Hotter, its starch drinks at once and the dough wants more flour than it should. Steam that is still in it is water you have not weighed.'}
            </Note>
          )}
          <Note title={words.caution.title} grade="caution">
            {words.caution.text}
          </Note>
        </>
      }
    >
      <BaseWeights step={step} />
      <CookedAlready step={step} />
    </Timed>
  )
}

export function CoolStep() {
  const step = useStep('cool')
  const { temperature } = useUnits()
  return (
    <Timed
      timer={step.id}
      title="Let it cool"
      lead={`Torn open on the board, under a cloth. The scald lands near ${temperature(step.fromC)}; work it below ${temperature(step.belowC)}.`}
      minutes={useClockMinutes()}
      startLabel="Start the clock"
      doneLabel="Hand-warm, go on"
      onDone={useDone()}
      aside={
        <>
          <Note title={`About ${counted(step.minutes, 'minute')}`}>
            For lumps of two centimetres in this room: a thermometer in the thickest one decides.
          </Note>
          <Note title="Hot dough" grade="caution">
            It holds its heat inside and sticks to skin. Stir with the stick; hands only once a knuckle bears it.
          </Note>
        </>
      }
    />
  )
}

function SoakStep({
  step: {
    id,
    minutes: [low, high],
  },
}: {
  step: StepOf<'drink'>
}) {
  return (
    <Timed
      timer={id}
      title="Let the semolina soak"
      lead="Covered, until a grain pressed between the nails has no dry heart."
      minutes={useClockMinutes()}
      startLabel="Covered: start"
      doneLabel="Soaked, go on"
      onDone={useDone()}
      aside={<Note title={`${low} to ${high} minutes`}>Then the other flour goes in, and the rest of the water.</Note>}
    >
      <InTheBowl />
    </Timed>
  )
}

export function DrinkStep() {
  const step = useStep('drink')
  return step.of === 'semolina' ? <SoakStep step={step} /> : <CrumbsDrink step={step} />
}

function CrumbsDrink({ step }: { step: StepOf<'drink'> }) {
  const [low, high] = step.minutes
  return (
    <Timed
      timer={step.id}
      title="Let the crumbs drink"
      lead="In a bag or under a damp cloth. Nothing is kneaded yet; the water finds its way by itself."
      minutes={useClockMinutes()}
      startLabel="Covered: start"
      doneLabel="Drunk, go on"
      onDone={useDone()}
      aside={
        <Note title={`${low} to ${high} minutes`}>
          Dry <Term of="crumb">crumbs</Term> are normal at first. Wait, then judge, and add half of what you would have
          added.
        </Note>
      }
    >
      <InTheBowl />
    </Timed>
  )
}

/** Worked on a board that may be floured, not in a bowl, a bag or a pan. */
const ON_THE_BOARD: readonly StepOf<'knead'>['how'][] = ['push', 'press', 'twist', 'fold']

export function KneadStep() {
  const step = useStep('knead')
  const { running } = useBench()
  const { plan } = running.batch
  const { by, minutes } = kneading(plan, running.state, step)
  const { degrees } = useUnits()
  const warms = KNEADING_WARMS_C[by]
  const choices = WORKERS.flatMap((id) => {
    const span = step[id]
    return span ? [[id, kneadSpan(span)] as const] : []
  })
  return (
    <Timed
      timer={step.id}
      title={kneadTitle(step)}
      lead={kneadLead(step, by)}
      minutes={useClockMinutes()}
      own={minutesKey(plan, step, by, running.state.hands)}
      startLabel={step.how === 'push' ? 'Start kneading' : 'Start'}
      doneLabel={step.how === 'push' ? 'Kneaded, go on' : 'Done, go on'}
      onDone={useDone()}
      aside={
        <>
          <Note title={step.how === 'push' ? 'Kneaded when' : 'Done when'}>{kneadSign(step, plan.body, by)}</Note>
          <Note title={`${kneadSpan(minutes)} ${workerWords[by]}`}>{kneadNote(step, plan.body)}</Note>
          {by === 'hand' && step.how === 'push' && (
            <Note title="Set up">
              A damp cloth under the board keeps it still. On a low board your weight does the work, not your arms.
            </Note>
          )}
          {by === 'mixer' && (
            <Note title="Moving hooks" grade="caution">
              Stop it before anything goes into the bowl, scraper or hand. Stiff dough walks a machine off the bench:
              stay with it.
            </Note>
          )}
          {by === 'processor' && (
            <Note title="Sharp blade" grade="caution">
              Lid on before it runs, plug out before a hand goes in. It warms the dough by {degrees(warms.low)} to{' '}
              {degrees(warms.high)} degrees, which is why its water is cooler. Half a bowl at a time, and stop when it
              is warm to the hand.
            </Note>
          )}
          {ON_THE_BOARD.includes(step.how) && <BoardFlour />}
        </>
      }
    >
      <WhoWorks label={step.how === 'push' ? 'Who kneads' : 'Who works it'} by={by} choices={choices} of={step} />
      <FeelAgain />
      <InTheBowl />
    </Timed>
  )
}

export function RestStep() {
  const step = useStep('rest')
  const { running } = useBench()
  const { cold } = step
  const { low, best, high } = offeredRest(step, useLeftForStep())
  const { title, lead, sign, past } = restedWords(step, running.batch.plan.body)
  const tempers = running.batch.plan.steps.some(({ kind }) => kind === 'temper')
  const done = useDone()
  if (best < 1)
    return (
      <StepPage
        title="No time left to rest"
        lead="The dough has been out as long as it may. Go on at once."
        action={{ label: 'Go on', run: done }}
        aside={null}
      >
        <InTheBowl />
      </StepPage>
    )
  return (
    <Timed
      timer={step.id}
      title={title}
      lead={lead}
      minutes={best}
      own={minutesKey(running.batch.plan, step, 'hand', running.state.hands)}
      startLabel={cold ? 'In the fridge' : 'Start the rest'}
      doneLabel={cold ? 'Out of the fridge' : 'Rested, go on'}
      onDone={done}
      aside={
        cold ? (
          <>
            <Note title={restSpanWords(low, high)}>{past(hoursWords(high / 60))}</Note>
            {tempers ? (
              <Note title="Then back to the room">
                Cold dough tears in the roller and splits in the rope. The next step gives it its time.
              </Note>
            ) : (
              <Note title="Used cold">It goes on straight from the fridge, and sticks the less for it.</Note>
            )}
          </>
        ) : (
          <>
            <Note title={low >= 1 ? `At least ${counted(low, 'minute')}` : 'A short stand'}>
              {sign} {high >= 90 && past(hoursWords(high / 60))}
            </Note>
          </>
        )
      }
    >
      <InTheBowl />
    </Timed>
  )
}

export function SpreadStep() {
  const step = useStep('spread')
  const { length, temperature } = useUnits()
  const [low, high] = step.minutes
  return (
    <Timed
      timer={step.id}
      title="Spread and cool"
      lead={`On a wet tray, ${length(step.thicknessMm)} deep, with a wet spatula; covered once it no longer steams.`}
      minutes={useClockMinutes()}
      startLabel="It is spread"
      doneLabel="Set, go on"
      onDone={useDone()}
      aside={
        <>
          <Note title="Hot paste sticks and burns" grade="caution">
            It is near {temperature(90)} and clings. Pour it from the pan, spread it with a tool, and keep hands off
            until it is cool. A burn: cool running water for twenty minutes.
          </Note>
          <Note title={`${low} to ${high} minutes`}>
            Cold to the middle it stamps with a clean edge. Milk is in it: into the fridge within the hour.
          </Note>
        </>
      }
    >
      <InTheBowl />
    </Timed>
  )
}

export function TemperStep() {
  const step = useStep('temper')
  const { running } = useBench()
  const nowMs = useNow(30_000)
  const { state } = running
  const { temperature } = useUnits()
  const index = Number(/^back-(\d+)$/.exec(step.id)?.[1] ?? 0)
  const since = state.chilled[index - 1]
  const frozen = typeof since?.thawH === 'number'
  const coldFrom = frozen ? state.timers[step.id.replace('back', 'thaw')]?.startedAt : since?.at
  const hours = coldFrom ? (nowMs - Date.parse(coldFrom)) / 3_600_000 : null
  const minutes = useClockMinutes()
  return (
    <Timed
      timer={step.id}
      title="Back from the fridge"
      lead={
        hours === null
          ? 'Wrapped still, so that it does not sweat dry nor wet.'
          : `In the fridge for ${hours < 1 ? `${counted(hours * 60, 'minute')}` : `${formatNumber(hours, 1)} hours`}. Take it out when you are ready for it; it stays wrapped.`
      }
      minutes={minutes}
      startLabel="It is out"
      doneLabel="Supple, go on"
      onDone={useDone()}
      aside={
        <>
          {minutes < step.minutes && (
            <Note title={`The dough may stay warm for only ${counted(minutes, 'more minute')}`} grade="caution">
              Flatten the dough, and work it as soon as it bends.
            </Note>
          )}
          <Note title={`About ${formatNumber(step.minutes, 0)} min to come back`}>
            For a dough pressed three centimetres flat, in {temperature(running.batch.plan.roomC)}. Cut in two and laid
            flatter it takes half of that.
          </Note>
          {hours !== null && hours > 36 && (
            <Note title="More than a day and a half" grade="caution">
              Grey, sour or slack dough is thrown away, not cooked. Your local code may set a shorter time.
            </Note>
          )}
        </>
      }
    >
      <InTheBowl />
    </Timed>
  )
}

export function ThawStep() {
  const step = useStep('thaw')
  return step.of === 'skins' ? <ThawSkins step={step} /> : <ThawDough step={step} />
}

function ThawSkins({ step }: { step: StepOf<'thaw'> }) {
  return (
    <Timed
      timer={step.id}
      title="Thaw the skins"
      lead="In the fridge, wrapped, until the top one bends without a crack. Then peel them apart."
      minutes={useClockMinutes()}
      startLabel="In the fridge: start"
      doneLabel="They bend, go on"
      onDone={useDone()}
      aside={
        <Note title="Keep them wrapped" grade="caution">
          Unwrapped they sweat and stick. Throw away any that stayed out for more than two hours, and do not freeze them
          again.
        </Note>
      }
    />
  )
}

function ThawDough({ step }: { step: StepOf<'thaw'> }) {
  const { running } = useBench()
  const { state } = running
  const since = state.chilled[Number(/^thaw-(\d+)$/.exec(step.id)?.[1] ?? 0) - 1]
  const isOut = state.timers[step.id] !== undefined
  return (
    <Timed
      timer={step.id}
      title={isOut ? 'Thaw in the fridge' : 'In the freezer'}
      lead={`${since && !isOut ? `Since ${format(new Date(since.at), 'EEEE d MMM')}. ` : ''}Move it to the fridge the evening before, still wrapped, on a plate.`}
      minutes={useClockMinutes()}
      startLabel="Into the fridge to thaw"
      doneLabel="Thawed, go on"
      onDone={useDone()}
      aside={
        <>
          <Note title={`About ${hoursWords(step.hours)} in the fridge`}>
            For a dough pressed three centimetres flat. It is ready when the middle gives under a thumb.
          </Note>
          <Note title="Freezer and fridge" grade="caution">
            Thaw it in the fridge, never on the counter, and do not freeze it again. Best within two months. A shorter
            limit of your code wins.
          </Note>
        </>
      }
    />
  )
}

export function AirSheetStep() {
  const [low, high] = useStep('airSheet').minutes
  return (
    <Timed
      timer={useStep('airSheet').id}
      title="Air the sheet"
      lead="Flat on a cloth, turned once, until it feels like soft leather and no longer sticks to itself."
      minutes={useClockMinutes()}
      startLabel="It is laid out"
      doneLabel="Leathery, go on"
      onDone={useDone()}
      aside={
        <Note title={`${low < high ? `${low} to ` : ''}${counted(high, 'minute')}`}>
          Cut too wet, it sticks in the cutter. Too dry, it cracks when you fold it: then cover it.
        </Note>
      }
    />
  )
}
