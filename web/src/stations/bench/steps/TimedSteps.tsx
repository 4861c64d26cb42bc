/** The steps that a clock runs for, from a steaming potato to a dough back from the fridge. */
import { formatNumber, kneading, WORKERS, type StepOf } from '@harina/core'
import { KNEADING_WARMS_C } from '@harina/core/heat'
import { finishStep } from '#web/state/bench.ts'
import { useUnits } from '#web/ui/units.ts'
import { Note, useBench, useStep } from '../StepPage.tsx'
import { InTheBowl } from './BowlRule.tsx'
import { BoardFlour } from './BoardFlour.tsx'
import { FeelAgain } from './FeelAgain.tsx'
import { Timed } from './Timed.tsx'
import { WhoWorks } from './WhoWorks.tsx'
import { kneadLead, kneadTitle, prepareWords, workerWords } from '#web/words/index.ts'

/** To the quarter of a minute where it is short. */
const middle = ([low, high]: readonly [number, number]) => {
  const minutes = (low + high) / 2
  return Math.max(0.25, minutes < 2 ? Math.round(minutes * 4) / 4 : Math.round(minutes))
}

/** Ends the step and its clock. */
function useDone() {
  const { running, step } = useBench()
  return () => void finishStep(running.batch, { type: 'timer-stopped', timer: step.id })
}

export function PrepareStep() {
  const step = useStep('prepare')
  const { temperature } = useUnits()
  const words = prepareWords[step.what]
  return (
    <Timed
      timer={step.id}
      title={words.title}
      lead={words.lead}
      minutes={middle(step.minutes)}
      startLabel="Start the clock"
      doneLabel={words.done}
      onDone={useDone()}
      aside={
        <>
          {step.belowC !== null && (
            <Note title={`Below ${temperature(step.belowC)} before the flour`}>
              Hotter, its starch drinks at once and the dough wants more flour than it should. Steam that is still in it
              is water you have not weighed.
            </Note>
          )}
          <Note title={words.caution.title} grade="caution">
            {words.caution.text}
          </Note>
        </>
      }
    />
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
      minutes={step.minutes}
      startLabel="Start the clock"
      doneLabel="Hand-warm, go on"
      onDone={useDone()}
      aside={
        <>
          <Note title={`About ${formatNumber(step.minutes, 0)} minutes`}>
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

export function CrumbStep() {
  const step = useStep('crumb')
  const [low, high] = step.minutes
  return (
    <Timed
      timer={step.id}
      title="Let the crumbs drink"
      lead="In a bag or under a damp cloth. Nothing is kneaded yet; the water finds its way by itself."
      minutes={middle(step.minutes)}
      startLabel="Covered: start"
      doneLabel="Drunk, go on"
      onDone={useDone()}
      aside={
        <Note title={`${low} to ${high} minutes`}>
          Dry crumbs at the start are no reason for water: judge after this, and give half of what you would have given.
        </Note>
      }
    >
      <InTheBowl />
    </Timed>
  )
}

/** Under a minute the clock tells seconds. */
const spanWords = ([low, high]: readonly [number, number]): string =>
  high < 2 ? `${formatNumber(low * 60, 0)} to ${formatNumber(high * 60, 0)} s` : `${low} to ${high} min`

/** Worked on a board that may be floured, not in a bowl, a bag or a pan. */
const ON_THE_BOARD: readonly StepOf<'knead'>['how'][] = ['push', 'press', 'twist', 'fold']

export function KneadStep() {
  const step = useStep('knead')
  const { running } = useBench()
  const { plan } = running.batch
  const { by, minutes } = kneading(plan, running.state, step)
  const warms = KNEADING_WARMS_C[by]
  const choices = WORKERS.flatMap((id) => {
    const span = step[id]
    return span ? [[id, spanWords(span)] as const] : []
  })
  return (
    <Timed
      timer={step.id}
      title={kneadTitle(step)}
      lead={kneadLead(step, by)}
      minutes={middle(minutes)}
      startLabel={step.how === 'push' ? 'Start kneading' : 'Start'}
      doneLabel={step.how === 'push' ? 'Kneaded, go on' : 'Done, go on'}
      onDone={useDone()}
      aside={
        <>
          <Note title={`${spanWords(minutes)} ${workerWords[by]}`}>
            {step.how === 'fold'
              ? 'Every turn more makes it tougher. Stop when it just holds.'
              : 'Still grainy at the end is thirst or haste: cover it half an hour, then three minutes more.'}
          </Note>
          {by === 'mixer' && (
            <Note title="Moving hooks" grade="caution">
              Stop it before anything goes into the bowl, scraper or hand. Stiff dough walks a machine off the bench:
              stay with it.
            </Note>
          )}
          {by === 'processor' && (
            <Note title="Sharp blade" grade="caution">
              Lid on before it runs, plug out before a hand goes in. It warms the dough by {warms.low} to {warms.high}{' '}
              degrees: start with cold water, half a bowl at a time, and stop when it is warm to the hand.
            </Note>
          )}
          {ON_THE_BOARD.includes(step.how) && <BoardFlour />}
        </>
      }
    >
      <WhoWorks label="Who kneads" by={by} choices={choices} />
      <FeelAgain />
      <InTheBowl />
    </Timed>
  )
}

const restWords = {
  dough: {
    title: 'Rest, wrapped',
    lead: 'Wrapped tight, or under an upturned bowl. Skin on the dough shows later as grey streaks.',
  },
  sheet: {
    title: 'Rest the sheet',
    lead: 'Rolled up in a bag, or between cloths. A sheet that has rested thins without springing back.',
  },
  pieces: {
    title: 'Chill the pieces',
    lead: 'On a tray, bedded in semolina and covered, in the fridge: a skin forms that holds them together in the pot.',
  },
  crumb: {
    title: 'Rest the crumbs, covered',
    lead: 'Covered, so that every crumb is as wet inside as outside. Then break up what is over a centimetre.',
  },
} as const

export function RestStep() {
  const step = useStep('rest')
  const { low, high, of, cold } = step
  const { title, lead } = restWords[of]
  return (
    <Timed
      timer={step.id}
      title={cold && of !== 'pieces' ? 'Rest in the fridge' : title}
      lead={
        cold && of !== 'pieces' ? 'Wrapped tight, flat, so that it comes back the sooner. Name and hour on it.' : lead
      }
      minutes={step.best}
      startLabel={cold ? 'In the fridge' : 'Start the rest'}
      doneLabel={cold ? 'Out of the fridge' : 'Rested, go on'}
      onDone={useDone()}
      aside={
        cold ? (
          <>
            <Note title={`${formatNumber(low / 60, 0)} to ${formatNumber(high / 60, 0)} hours`}>
              Past {formatNumber(high / 60, 0)} it greys and slackens; salt and alkali slow that, a fridge above 5 °C
              hastens it.
            </Note>
            <Note title="Then back to the room">
              Cold dough tears in the roller and splits in the rope. The next step gives it its time.
            </Note>
          </>
        ) : (
          <>
            <Note title={low >= 1 ? `At least ${formatNumber(low, 0)} minutes` : 'A short stand'}>
              A dough that springs back has not rested.{' '}
              {high >= 90 ? `Past ${formatNumber(high / 60, 1)} hours it slackens.` : ''}
            </Note>
            {high > 120 && (
              <Note title="Over two hours" grade="caution">
                At room temperature many food codes stop at two hours when you serve others: chill it then, and let it
                come back before rolling. Your local code decides.
              </Note>
            )}
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
  const { length } = useUnits()
  const [low, high] = step.minutes
  return (
    <Timed
      timer={step.id}
      title="Spread and cool"
      lead={`On a wet tray, ${length(step.thicknessMm)} deep, with a wet spatula; covered once it no longer steams.`}
      minutes={low}
      startLabel="It is spread"
      doneLabel="Set, go on"
      onDone={useDone()}
      aside={
        <>
          <Note title="Hot paste sticks and burns" grade="caution">
            It is near 90 °C and clings. Pour it from the pan, spread it with a tool, and keep hands off until it is
            cool. A burn: cool running water for twenty minutes.
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
  const { running, nowMs } = useBench()
  const { state } = running
  const { temperature } = useUnits()
  const index = Number(/^back-(\d+)$/.exec(step.id)?.[1] ?? 0)
  const since = state.chilled[index - 1]
  const hours = since ? (nowMs - Date.parse(since.at)) / 3_600_000 : null
  return (
    <Timed
      timer={step.id}
      title="Back from the fridge"
      lead={
        hours === null
          ? 'Wrapped still, so that it does not sweat dry nor wet.'
          : `In the fridge for ${hours < 1 ? `${formatNumber(hours * 60, 0)} minutes` : `${formatNumber(hours, 1)} hours`}. Take it out when you are ready for it; it stays wrapped.`
      }
      minutes={step.minutes}
      startLabel="It is out"
      doneLabel="Supple, go on"
      onDone={useDone()}
      aside={
        <>
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
