import { formatPercent, formatPoints, type CorrectionStep, type Feel, type Plan, type Suggestion } from '@harina/core'
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

function StepNote({ step }: { step: CorrectionStep }) {
  const worded = useUnits()
  const { plan } = useBench().running.batch
  return (
    <Note title={`${stepGrams(step, worded, plan)}: ${measureWords(step.measure)}`}>
      {/* Water on a base moves no flour. */}
      {Math.abs(step.to - step.from) >= 0.05 &&
        `Moves it ${formatPoints(step.to - step.from)} points, ${formatPercent(step.from)} to ${formatPercent(step.to)} %.`}
      {step.saltG >= 0.05 && ` With it ${worded.mass(step.saltG, 0.1)} of salt.`}
      {step.overCeiling && ' That is more than this flour has been thought to want: wait and feel again first.'}
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
      {feel === 'right' && <Note title="Stop here">It only needs time now.</Note>}
    </div>
  )
}
