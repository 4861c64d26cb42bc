import {
  formatNumber,
  isFirstPourIn,
  isPouredNow,
  overPour,
  jugOf,
  type Jug as JugOf,
  onTheScaleG,
  pourGo,
  roundHalfUp,
  mixing,
  waterOfG,
  waterNowC,
  waterTargets,
  type Worker,
} from '@harina/core'
import { useState } from 'react'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { useUnits } from '#web/ui/units.ts'
import { WaterNotes } from './WeighSteps.tsx'
import { BowlRule } from './BowlRule.tsx'
import { Jug } from './Jug.tsx'
import { WentIn } from './WentIn.tsx'
import { WhoWorks } from './WhoWorks.tsx'
import { ScaleStrip } from '#web/ui/scale/ScaleStrip.tsx'
import { StepPage, type StepAction } from '../StepPage.tsx'
import { Big, Note, useBench, useStep } from '../view.tsx'
import { called, calledWords, counted, liquidName, pouredRow, pourLead, pourMishaps } from '#web/words/index.ts'
import { Term } from '#web/ui/Term.tsx'

/** A blade throws scalding water; nobody pours it in there. */
const STIRS = [
  ['hand', 'with a stick'],
  ['mixer', 'with the paddle'],
] as const satisfies readonly (readonly [Worker, string])[]
const COUNTS = ['none', 'one', 'two', 'three', 'four', 'five']

/** Egg, milk or purée brings all the water: one vessel, and nothing waits beside it. */
function PourWhole({ jug }: { jug: JugOf }) {
  const { running } = useBench()
  const { batch, state } = running
  const { massFigure, units } = useUnits()
  const { scaleStepG } = batch.plan
  return (
    <StepPage
      title="Pour it in"
      lead={pourLead(useStep('pour'), mixing(batch.plan, state).by)}
      action={{ label: 'All of it is in, go on', run: () => void finishStep(batch) }}
    >
      <div className="flex flex-wrap items-end gap-x-10 gap-y-3">
        <Big label="to pour" figure={massFigure(jug.totalG, scaleStepG)} unit={units.mass} />
        <Jug jug={jug} liquid={liquidName(batch.plan)} heldG={0} pouredG={0} stepG={scaleStepG} />
      </div>
      <BowlRule />
    </StepPage>
  )
}

export function PourStep() {
  const { running } = useBench()
  const jug = jugOf(running.batch.plan, running.state)
  return waterTargets(running.batch.plan, running.state).totalG > 0 ? <PourInGoes jug={jug} /> : <PourWhole jug={jug} />
}

function OverPoured({ over: { overG, points, flourG, saltG } }: { over: NonNullable<ReturnType<typeof overPour>> }) {
  const { plan } = useBench().running.batch
  const { mass } = useUnits()
  const grams = (value: number) => mass(value, plan.scaleStepG)
  return (
    <Note title={`${grams(overG)} more than all of it`} grade="caution">
      {formatNumber(points, 1)} points wetter than the formula. {grams(flourG)} of flour
      {saltG > 0 && ` with ${mass(saltG, 0.1)} of salt`} brings it back, and makes more dough; or go on, and feel it
      first.
    </Note>
  )
}

/** What of the water waits beside the bowl, once this is in. */
function StaysBack({ jug, inG }: { jug: JugOf; inG: number }) {
  const { batch, state } = useBench().running
  const { plan } = batch
  const { units } = useUnits()
  const grams = (value: number) => calledWords(plan, pouredRow(plan), value, units)
  const { totalG } = waterTargets(plan, state)
  if (totalG - inG < plan.scaleStepG / 2) return null
  return (
    <Note title={`Keep ${grams(onTheScaleG(jug, inG, Math.max(0, totalG - inG)))} back`}>
      {isFirstPourIn(plan, state, inG) ? (
        <>
          <Term of="hold back">Plain, beside the bowl</Term>: only if the dough asks, once the flour has had{' '}
          {counted(plan.minutes.drink, 'minute')} to drink.
        </>
      ) : (
        <>
          The <Term of="first pour">first pour</Term> is {grams(jug.totalG)} in all. Mix after each part of it.
        </>
      )}
    </Note>
  )
}

const ScaldCaution = ({ by }: { by: Worker }) => (
  <Note title="Scalding water" grade="caution">
    Pour away from you, from a spout; keep sleeves and faces out of the steam.{' '}
    {by === 'mixer'
      ? 'Guard shut and slow from the start: a fast paddle throws hot water. The bowl’s wall burns too.'
      : 'Stir with the stick, no hands in it.'}
  </Note>
)

function PourInGoes({ jug }: { jug: JugOf }) {
  const { running } = useBench()
  const step = useStep('pour')
  const { batch, state } = running
  const { plan } = batch
  const water = waterTargets(plan, state)
  const { go, of: goes, leftG } = pourGo(plan, state, step)
  /** As the scale shows it, with what is made up with the water. */
  const [poured, setPoured] = useState<number | null>(null)
  const leftShownG = onTheScaleG(jug, state.pouredG, leftG)
  const { temperature, units } = useUnits()
  const shownG = poured ?? called(plan, pouredRow(plan), leftShownG, units).grams
  const nowG = poured === null && !plan.noScale ? leftG : waterOfG(jug, state.pouredG, shownG)
  const { by, can } = mixing(plan, state)
  const liquid = liquidName(plan)
  /** Water in the bowl once this is in. */
  const inG = state.pouredG + nowG
  const over = overPour(plan, state, inG)
  const grams = (value: number) => calledWords(plan, pouredRow(plan), value, units)
  const still = called(plan, pouredRow(plan), leftShownG, units)
  const goOn: StepAction = {
    label: shownG > 0 ? `Poured ${grams(shownG)}, go on` : 'Go on',
    run: () => {
      void finishStep(batch, ...(nowG > 0 ? [{ type: 'poured', grams: nowG } as const] : []))
      setPoured(null)
    },
  }
  const moreToCome: StepAction = {
    label: `Poured ${grams(shownG)}, more to come`,
    run: () => {
      void recordTap(batch, { type: 'poured', grams: nowG })
      setPoured(null)
    },
  }
  /** The rest of the formula follows the water. */
  const withFlour = () => {
    if (!over) return
    const added = { type: 'added-flour', grams: roundHalfUp(over.flourG, plan.scaleStepG), saltG: over.saltG } as const
    void finishStep(batch, { type: 'poured', grams: nowG }, added)
    setPoured(null)
  }
  const waterC = waterNowC(plan, state)
  /** Nothing is made up in it, and nobody has told of the water yet. */
  const fromTheTap = state.pouredG === 0 && !plan.steps.some(({ kind }) => kind === 'water')
  const waits = !isPouredNow(plan, state, step, inG) && nowG > 0
  return (
    <StepPage
      title={
        step.how === 'soak'
          ? 'Pour onto the semolina'
          : goes > 1
            ? `Pour, ${COUNTS[go] ?? go} of ${COUNTS[goes] ?? goes}`
            : 'Pour'
      }
      lead={`${fromTheTap && waterC !== null ? `Water of about ${temperature(waterC)}. ` : ''}${pourLead(step, by)}`}
      action={waits ? moreToCome : goOn}
      second={
        over
          ? { label: `Poured ${grams(shownG)}, and ${grams(over.flourG)} of flour`, run: withFlour }
          : waits
            ? goOn
            : null
      }
      aside={
        <>
          {fromTheTap ? <WaterNotes plan={plan} heldG={water.holdBackG} waterC={waterC} /> : null}
          {over ? (
            <OverPoured over={over} />
          ) : step.how === 'soak' ? (
            <Note title="The semolina alone">
              The other flour waits. It would take the water before the semolina has its share.
            </Note>
          ) : fromTheTap ? null : (
            <StaysBack jug={jug} inG={inG} />
          )}
          {step.how === 'scald' && <ScaldCaution by={by} />}
          {by === 'hand' && pourMishaps[step.how] && (
            <Note title={pourMishaps[step.how]!.title}>{pourMishaps[step.how]!.text}</Note>
          )}
        </>
      }
    >
      {step.how === 'scald' && (
        <WhoWorks label="Who stirs" by={by} choices={STIRS.filter(([id]) => can.includes(id))} />
      )}
      {!plan.noScale && (
        <ScaleStrip
          target={{
            label: jug.others.length > 0 ? 'poured into the bowl' : `${liquid} in the bowl`,
            targetG: leftShownG,
            take: setPoured,
          }}
        />
      )}
      <div className="flex flex-wrap items-end gap-x-10 gap-y-3">
        <div>
          <Big label="still to pour" figure={still.figure} unit={still.unit} small={plan.noScale === true} />
          {still.note && <p className="small mt-2">{still.note}</p>}
          <p className="mt-2 text-md text-second">
            went in{' '}
            <WentIn
              row={pouredRow(plan)}
              label={jug.others.length > 0 ? 'Grams poured' : `Grams of ${liquid} poured`}
              grams={shownG}
              onChange={setPoured}
            />
          </p>
        </div>
        <Jug jug={jug} liquid={liquid} heldG={water.holdBackG} pouredG={state.pouredG} stepG={plan.scaleStepG} />
      </div>
      <BowlRule />
    </StepPage>
  )
}
