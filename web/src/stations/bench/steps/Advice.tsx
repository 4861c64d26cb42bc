import {
  formatPercent,
  formatPoints,
  type CorrectionStep,
  type Feel,
  type Plan,
  type Run,
  type Suggestion,
} from '@harina/core'
import { useUnits } from '#web/ui/units.ts'
import { Note, useBench } from '../view.tsx'
import { counted, measureWords, whatWords, type Worded } from '#web/words/index.ts'

function waitWhy(why: 'drinking' | 'chasing', feel: Feel | null, isBatter: boolean): string {
  if (why === 'chasing') return 'Water and flour are running after each other. Cover it, then judge once more.'
  if (isBatter)
    return 'Flour swells for a few minutes yet, and a thin batter thickens. Cover it, beat it again, then judge.'
  return feel === 'tacky' || feel === 'sticky'
    ? 'The flour has not had its time to drink, and binds more by then. Cover it, then judge once more.'
    : 'The flour has not had its time to drink. Cover it; many a dry dough is right by then.'
}

/** Small steps are told in tenths, whatever the scale: a spray is 0.7 g. */
export const stepGrams = ({ grams, what, measure }: CorrectionStep, { mass }: Worded, plan: Plan): string =>
  plan.noScale && measure.unit !== 'go'
    ? `${measureWords(measure)} of ${whatWords(what, plan)}`
    : `${mass(grams, grams < 3 || grams % 1 !== 0 ? 0.1 : 1)} ${whatWords(what, plan)}`

/** From here on flour goes on the board, under the dough, and not into the bowl. */
const RESCUE_FROM = 1

function RunNote({ run, step, feel }: { run: Run; step: CorrectionStep; feel: Feel | null }) {
  const { mass } = useUnits()
  const { plan } = useBench().running.batch
  const given = `${counted(run.times, 'time')} so far, ${mass(run.grams, 0.1)} in all.`
  if (run.grams + step.grams > run.mostG)
    return (
      <Note title="More than a flour usually takes" grade="caution">
        {given} Cover it for twice as long and feel it again. Check what was weighed before you add more.
      </Note>
    )
  if (step.what === 'water')
    return (
      <Note title="A thirsty flour">
        {given} It may take {mass(run.mostG)}: give it little by little, and cover it each time.
      </Note>
    )
  return feel === 'sticky' && plan.body === 'gluten' && run.times >= RESCUE_FROM ? (
    <Note title="Rescue it on the board">
      {given} Spread {mass(step.grams, 1)} of flour on the board, turn the dough out, and fold it over with a scraper
      six times. Cover it for ten minutes, then feel it again.
    </Note>
  ) : (
    <Note title="Still too soft">{given} Give it by spoons, and stop as soon as it lets go of your hands.</Note>
  )
}

function StepNote({ step }: { step: CorrectionStep }) {
  const worded = useUnits()
  const { plan } = useBench().running.batch
  return (
    <Note title={`${stepGrams(step, worded, plan)}: ${measureWords(step.measure)}`}>
      {/* Water on a base moves no flour. */}
      {Math.abs(step.to - step.from) >= 0.05 &&
        `Moves it ${formatPoints(step.to - step.from)} points, ${formatPercent(step.from)} to ${formatPercent(step.to)} %.`}
      {step.saltG >= 0.05 && ` With it ${worded.mass(step.saltG, 0.1)} of salt.`}
      {step.overCeiling && ' That is more than this flour usually takes: wait, then feel it again.'}
    </Note>
  )
}

interface Props {
  readonly feel: Feel | null
  readonly suggestion: Suggestion | null
}

/** What the word for the feel asks for, and why. */
export function Advice({ feel, suggestion }: Props) {
  const isBatter = useBench().running.batch.plan.body === 'batter'
  return (
    <div aria-live="polite" className="flex flex-col gap-4">
      {suggestion?.wait && (
        <Note title={`Wait ${counted(suggestion.wait.minutes, 'minute')} first`}>
          {waitWhy(suggestion.wait.why, feel, isBatter)}
        </Note>
      )}
      {suggestion?.step && <StepNote step={suggestion.step} />}
      {suggestion?.step && suggestion.run && <RunNote run={suggestion.run} step={suggestion.step} feel={feel} />}
      {feel === 'right' && <Note title="Stop here">It only needs time now.</Note>}
    </div>
  )
}
