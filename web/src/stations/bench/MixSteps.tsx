/** The steps in the bowl: pour to the first stop, feel, correct in known steps, and stop correcting. */
import {
  FEELS,
  formatGrams,
  formatNumber,
  formatPercent,
  formatPoints,
  roundHalfUp,
  suggest,
  waterTargets,
  type CorrectionStep,
  type Feel,
} from '@harina/core'
import { useState } from 'react'
import { finishStep, recordTap } from '../../state/recordTap.ts'
import { useKitchen } from '../../ui/kitchen.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { feelWords, measureWords } from '../../ui/words.ts'
import { BowlRule, Trail } from './BowlRule.tsx'
import { Jug } from './Jug.tsx'
import { Big, Note, StepSheet, useBench, type StepAction } from './StepSheet.tsx'

export function PourStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const dough = useKitchen()?.doughs.get(plan.sheet.dough)
  const water = waterTargets(plan, state)
  const leftG = Math.max(0, roundHalfUp(water.startG - state.pouredG, plan.scaleStepG))
  const [poured, setPoured] = useState<number | null>(null)
  const nowG = poured ?? leftG
  const grams = (value: number) => formatGrams(value, plan.scaleStepG)
  const all = () => {
    void finishStep(batch, ...(nowG > 0 ? [{ type: 'poured', grams: nowG } as const] : []))
    setPoured(null)
  }
  const some = () => {
    void recordTap(batch, { type: 'poured', grams: nowG })
    setPoured(null)
  }
  return (
    <StepSheet
      title="Pour to the first stop"
      lead={dough?.mixing}
      action={{ label: nowG > 0 ? `Poured ${grams(nowG)} g, go on` : 'Go on', run: all }}
      second={
        poured !== null && poured > 0 && poured < leftG
          ? { label: `Poured ${grams(nowG)} g, more to come`, run: some }
          : null
      }
      aside={
        <Note title={`${grams(Math.max(0, water.totalG - state.pouredG - nowG))} g stay in the jug`}>
          Give them only if the dough asks, once the flour has had {plan.minutes.drink} minutes to drink.
        </Note>
      }
    >
      <div className="flex flex-wrap items-end gap-x-10 gap-y-3">
        <div>
          <Big label="still to pour" figure={grams(leftG)} unit="g" />
          <p className="mt-2 text-[17px] text-second">
            went in{' '}
            <QuantityField
              label="Grams of water poured"
              shown={grams(nowG)}
              unit="g"
              min={0}
              max={1_000_000}
              className="text-[30px] font-semibold text-ink"
              widthCh={6}
              onChange={setPoured}
            />{' '}
            g
          </p>
        </div>
        <Jug totalG={water.totalG} startG={water.startG} pouredG={state.pouredG} stepG={plan.scaleStepG} />
      </div>
      <BowlRule />
    </StepSheet>
  )
}

function OwnStep({ onAdd }: { onAdd: (what: 'water' | 'flour', grams: number) => void }) {
  const [grams, setGrams] = useState(0)
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-2 text-[17px] text-second">
      or your own step
      <span>
        <QuantityField
          label="Grams of your own step"
          shown={formatNumber(grams, grams % 1 === 0 ? 0 : 1)}
          unit="g"
          min={0}
          max={5000}
          className="text-[26px] font-semibold text-ink"
          widthCh={5}
          onChange={setGrams}
        />{' '}
        g
      </span>
      {(['water', 'flour'] as const).map((what) => (
        <button
          key={what}
          type="button"
          className="press min-h-[52px] text-ink disabled:border-dashed disabled:text-second"
          disabled={grams <= 0}
          onClick={() => onAdd(what, grams)}
        >
          add as {what}
        </button>
      ))}
    </p>
  )
}

function stepLabel(step: CorrectionStep): string {
  return `Add ${formatGrams(step.grams, step.grams < 3 ? 0.1 : 1)} g ${step.what}`
}

const waitWhy = {
  drinking: 'The flour has not had its time to drink. Cover it; many a dry dough is right by then.',
  chasing: 'Water and flour are running after each other. Cover it, then judge once more.',
} as const

export function FeelStep() {
  const { running, nowMs } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const words = useKitchen()?.doughs.get(plan.sheet.dough)?.feel
  // A word counts until something is added; after that the dough is felt anew.
  const last = state.feels.at(-1)
  const stale = !last || last.pouredG !== state.pouredG || last.addedFlourG !== state.addedFlourG
  const feel = stale ? null : last.feel
  const suggestion = feel ? suggest(plan, state, feel, nowMs) : null
  const drinking = state.timers.drink?.stage === 'running'

  const say = (word: Feel) => void recordTap(batch, { type: 'felt', feel: word })
  const add = (step: Pick<CorrectionStep, 'what' | 'grams' | 'saltG'>) =>
    void recordTap(
      batch,
      step.what === 'water'
        ? { type: 'poured', grams: step.grams }
        : { type: 'added-flour', grams: step.grams, saltG: Number(step.saltG.toFixed(2)) },
    )
  const saltPerFlour = () =>
    plan.rows.filter((row) => row.part === 'salt').reduce((sum, row) => sum + row.percent, 0) / 100

  const cover: StepAction = {
    label: `Cover ${suggestion?.wait?.minutes ?? plan.minutes.drink} min`,
    run: () =>
      void recordTap(batch, {
        type: 'timer-started',
        timer: 'drink',
        minutes: suggestion?.wait?.minutes ?? plan.minutes.drink,
      }),
  }
  const step = suggestion?.step ?? null
  const addStep: StepAction | null = step && { label: stepLabel(step), run: () => add(step) }
  const goOn: StepAction = { label: 'Right: knead', run: () => void finishStep(batch) }
  const say1: StepAction = { label: 'Say how it feels', run: () => undefined, disabled: true }
  const waits = suggestion?.wait && !drinking
  const action = feel === 'right' ? goOn : waits ? cover : (addStep ?? (drinking ? say1 : cover))
  const second =
    feel === 'right'
      ? null
      : waits
        ? addStep && { ...addStep, label: `${addStep.label} anyway` }
        : feel
          ? { label: 'Leave it so', run: () => void finishStep(batch, { type: 'felt', feel: 'right' }) }
          : null

  const advice = (
    <div aria-live="polite" className="flex flex-col gap-4">
      {feel && words && (
        <p className="text-[17px] md:hidden">
          <span className="head">{feelWords[feel]}</span>: {words[feel]}.
        </p>
      )}
      {suggestion?.wait && (
        <Note title={`Wait ${suggestion.wait.minutes} minutes first`}>{waitWhy[suggestion.wait.why]}</Note>
      )}
      {step && (
        <Note
          title={`${formatGrams(step.grams, step.grams < 3 ? 0.1 : 1)} g ${step.what}: ${measureWords(step.measure)}`}
        >
          Moves it {formatPoints(step.to - step.from)} points, {formatPercent(step.from)} to {formatPercent(step.to)} %.
          {step.saltG >= 0.05 && ` With it ${formatNumber(step.saltG, 1)} g of salt.`}
          {step.overCeiling && ' That is more than this flour has been thought to want: wait and feel again first.'}
        </Note>
      )}
      {feel === 'right' && <Note title="Stop here">It only needs time now.</Note>}
    </div>
  )

  return (
    <StepSheet
      title="How does it feel?"
      lead={`Squeeze a fistful. Judge after ${plan.minutes.drink} minutes under a cover.`}
      action={action}
      second={second}
      onDigit={(digit) => FEELS[digit - 1] && say(FEELS[digit - 1] as Feel)}
      aside={<div className="hidden lg:contents">{advice}</div>}
    >
      <BowlRule />
      <div role="group" aria-label="How does it feel?" className="grid grid-cols-6 md:grid-cols-5">
        {FEELS.map((word, index) => (
          <button
            key={word}
            type="button"
            aria-pressed={feel === word}
            className={`press -mt-px -ml-px flex min-h-[84px] flex-col items-center justify-center md:justify-start md:pt-5 md:pb-4 ${index < 2 ? 'col-span-3' : 'col-span-2'} md:col-span-1`}
            onClick={() => say(word)}
          >
            <span className="whitespace-nowrap">
              <span className="figure mr-2 text-[15px] opacity-75">{index + 1}</span>
              <span className="head text-[21px] md:text-[24px]">{feelWords[word]}</span>
            </span>
            {words && <span className="mt-2 hidden text-[15px] leading-snug md:block">{words[word]}</span>}
          </button>
        ))}
      </div>
      <div className="lg:hidden">{advice}</div>
      <Trail />
      <OwnStep onAdd={(what, grams) => add({ what, grams, saltG: what === 'flour' ? grams * saltPerFlour() : 0 })} />
    </StepSheet>
  )
}
