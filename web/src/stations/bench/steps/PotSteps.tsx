/** Into the heat: cooked at once, or dropped in potful by potful. */
import { benchPieces, cookingSpan, formatNumber, MOST_MINUTES, potAtBench, type StepOf } from '@harina/core'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { useKitchen } from '#web/state/select.ts'
import { ShapeEngraving } from '#web/ui/ShapeEngraving.tsx'
import { useUnits } from '#web/ui/units.ts'
import { Note, StepPage, useBench, useStep } from '../StepPage.tsx'
import { Timed } from './Timed.tsx'
import { counted, capital, doneWords, dropTestWords, dropWords, minutesWords, spanOfMinutes } from '#web/words/index.ts'

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
    caution: 'Dry cloths only; steam and fat come out of the door first.',
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

function useCooked() {
  const { running, step } = useBench()
  return (elapsed: number) =>
    void finishStep(
      running.batch,
      { type: 'timer-stopped', timer: step.id },
      ...(elapsed > 0
        ? [{ type: 'cooked', minutes: Math.min(MOST_MINUTES, Number(elapsed.toFixed(1))) } as const]
        : []),
    )
}

function CookingMinutes({ from, to, state }: { from: number; to: number; state: string }) {
  const { running } = useBench()
  const { plan } = running.batch
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-10 gap-y-3 border-t border-line pt-4">
      {shape && <ShapeEngraving shape={shape} width={300} height={190} withScale />}
      <p className="figure text-3xl leading-snug">
        {plan.shape.name}, {state}:
        <br />
        <span className="text-5xl font-semibold">{spanOfMinutes(from, to)}</span>
      </p>
    </div>
  )
}

/** Water and salt for what is cooked now, and how often the pot is filled with dough. */
function PotNote() {
  const { running } = useBench()
  const { plan } = running.batch
  const { mass } = useUnits()
  const { litres, saltG, turns, eachG, potL, isUsual } = potAtBench(plan, running.state)
  const salted = plan.pot.saltGPerL === 0 ? 'No salt in it' : `${mass(saltG)} of salt in it`
  const pot = `${isUsual ? 'a pot' : 'your largest pot'} of ${formatNumber(potL, potL % 1 === 0 ? 0 : 1)} L`
  return (
    <Note title={turns > 1 ? `${counted(turns, 'turn')} of ${mass(eachG)}` : `${litreWords(litres)} of water`}>
      {turns > 1 && `In ${pot}, ${litreWords(litres)} of water. `}
      {salted}, once.{' '}
      {turns > 1
        ? 'Wait for the boil before the next goes in, and top up from a kettle.'
        : 'The boil comes back within a minute; if it does not, cook in turns.'}
    </Note>
  )
}

const litreWords = (litres: number): string => `${formatNumber(litres, litres % 1 === 0 ? 0 : 1)} L`

export function CookStep() {
  const { running } = useBench()
  const { how, done } = useStep('cook')
  const { plan } = running.batch
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  const { finish } = running.state
  const [low, high] = cookingSpan(plan, finish, shape?.cookDriedMin)
  const words = heatWords[how]
  return (
    <Timed
      timer="cook"
      title={words.title}
      lead={`${words.from} Taste first at ${minutesWords(low)}: ${doneWords(done, shape?.doneSign ?? 'no white inside')}.`}
      minutes={low}
      startLabel={words.start}
      doneLabel="Cooked"
      onDone={useCooked()}
      aside={
        how === 'boil' ? (
          <>
            <PotNote />
            {boiling}
          </>
        ) : (
          <Note title="Heat" grade="caution">
            {words.caution}
          </Note>
        )
      }
    >
      <CookingMinutes
        from={low}
        to={high}
        state={finish === 'dry' ? 'dried' : finish === 'freeze' ? 'frozen' : 'fresh'}
      />
    </Timed>
  )
}

export function RinseStep() {
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

export function DropStep() {
  const { running } = useBench()
  const step = useStep('drop')
  const { batch, state } = running
  const { plan } = batch
  const { mass } = useUnits()
  const kitchen = useKitchen()
  const shape = kitchen?.shapes.get(plan.shape.id)
  const { blank } = plan.shape
  const [low, high] = plan.minutes.cook
  const doughG = benchPieces(plan, state).usableG
  const { turns, eachG } = potAtBench(plan, state)
  const inPot = state.ticked.filter((item) => item.startsWith(`${step.id}-`)).length
  const next = () =>
    void recordTap(
      batch,
      { type: 'ticked', item: `${step.id}-${inPot + 1}`, on: true },
      { type: 'timer-started', timer: step.id, minutes: low },
    )
  return (
    <Timed
      timer={step.id}
      title="Drop them in"
      lead={`${blank.type === 'drop' ? `${capital(dropWords[blank.by])}. ` : ''}Start the clock when they float. Done: ${doneWords(step.done, shape?.doneSign ?? 'firm all through')}.`}
      minutes={low}
      startLabel="They are in"
      doneLabel="All cooked"
      onDone={useCooked()}
      aside={
        <>
          <PotNote />
          {blank.type === 'drop' && <Note title="Thick enough?">{dropTestWords[blank.by]}</Note>}
          {boiling}
        </>
      }
    >
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 text-lg">
        <p>{turns === 1 ? `All of it at once: ${mass(doughG)}.` : `${counted(turns, 'potful')} of ${mass(eachG)}.`}</p>
        {turns > 1 && state.timers[step.id] && inPot + 1 < turns && (
          <button type="button" className="press min-h-14 px-5" onClick={next}>
            Out, and the next potful in: {inPot + 2} of {turns}
          </button>
        )}
      </div>
      <CookingMinutes from={low} to={high} state="fresh" />
    </Timed>
  )
}
