/** The dough into lumps, by weight. */
import { useFamily } from '#web/state/select.ts'
import { benchPieces, formatNumber, lumpIsEven, lumps, type BenchState, type Lumps, type Plan } from '@harina/core'
import { useId } from 'react'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { HatchPattern, type Family } from '#web/ui/family.tsx'
import { useUnits } from '#web/ui/units.ts'
import { ScaleStrip } from '#web/ui/scale/ScaleStrip.tsx'
import { StepPage } from '../StepPage.tsx'
import { Big, Note, useBench } from '../view.tsx'
import { DividedInto } from './DividedInto.tsx'
import { OtherShapes, useOtherShapes } from './OtherShapes.tsx'
import { byEyeWords, counted, blankWords } from '#web/words/index.ts'

const BALL_PX = 52
const MOST_DRAWN = 48

interface LumpsProps {
  readonly wanted: Lumps
  readonly state: BenchState
}

/** The lumps in rows, the weighed ones filled, those off with a bar through. */
function LumpRow({ wanted, state, family }: LumpsProps & { family: Family }) {
  const hatch = useId()
  const drawn = Math.min(MOST_DRAWN, wanted.count)
  return (
    <svg
      className="block w-full max-w-190"
      viewBox={`0 0 ${12 * BALL_PX} ${Math.ceil(drawn / 12) * BALL_PX}`}
      role="img"
      aria-label={`${counted(wanted.count, 'lump')}, ${state.lumps.length} of them weighed`}
    >
      <HatchPattern id={hatch} family={family} />
      {Array.from({ length: drawn }, (_, n) => {
        const weighed = state.lumps[n]
        const [x, y] = [(n % 12) * BALL_PX + BALL_PX / 2, Math.floor(n / 12) * BALL_PX + BALL_PX / 2]
        // A ball's width goes with the third root of its mass.
        const r = 21 * Math.cbrt(weighed ? Math.min(2, weighed.grams / wanted.eachG) : 1)
        return (
          <g key={n}>
            <circle
              cx={x}
              cy={y}
              r={r}
              fill={weighed ? `url(#${hatch})` : 'none'}
              stroke="var(--ink)"
              strokeWidth={weighed ? 2 : 1}
              strokeDasharray={weighed ? undefined : '3 3'}
            />
            {weighed && !lumpIsEven(wanted, weighed.grams) && (
              <path d={`M${x - r} ${y}H${x + r}`} stroke="var(--danger)" strokeWidth="4" />
            )}
          </g>
        )
      })}
    </svg>
  )
}

function LumpWords({ wanted, state, stepG }: LumpsProps & { stepG: number }) {
  const { mass } = useUnits()
  const off = state.lumps.filter(({ grams }) => !lumpIsEven(wanted, grams))
  if (state.lumps.length === 0) return null
  return (
    <p className="figure text-xl" role="status">
      {state.lumps.length} of {formatNumber(wanted.count, 0)} weighed
      {off.length > 0 &&
        `; ${off.map(({ grams }) => mass(grams, stepG)).join(', ')} ${off.length === 1 ? 'is' : 'are'} off: nip or add`}
      .
    </p>
  )
}

const ropeMm = ({ shape: { blank } }: Plan): number => (blank.type === 'rope' ? blank.diameterMm : 0)

export function DivideStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { length, mass, massFigure, units } = useUnits()
  const made = benchPieces(plan, state)
  const family = useFamily(plan)
  const wanted = lumps(plan, state)
  const { count, eachG, slackG } = wanted
  const isPulled = plan.steps.some(({ kind }) => kind === 'pull')
  const rope = isPulled ? null : made.rope
  const weighOff = useOtherShapes()
  const toPress = plan.steps.some(({ kind }) => kind === 'press')
  const take = (grams: number) => void recordTap(batch, { type: 'lumped', grams })
  return (
    <StepPage
      title="Divide"
      lead={
        rope && count === rope.ropes
          ? `Each lump rolls out to one board of ${length(plan.boardMm)}. Keep what waits covered.`
          : toPress
            ? 'Balls that the hopper takes one at a time. Keep them covered.'
            : made.sheet
              ? 'Each lump becomes one sheet. Keep what waits covered.'
              : 'Cut the dough into lumps for your hands. Keep them covered.'
      }
      action={weighOff ?? { label: 'Divided, go on', run: () => void finishStep(batch) }}
      aside={
        <>
          <Note
            title={rope ? `${counted(rope.piecesPerBoard, 'piece')} from a board` : blankWords(made.blank, { length })}
          >
            {rope ? `${length(rope.ropeMm)} of rope in all, ` : ''}
            {mass(made.usableG, plan.scaleStepG)} of dough.
          </Note>
          <OtherShapes />
          <Note title={plan.noScale ? 'By eye' : 'By weight'}>
            {plan.noScale && rope
              ? `Halve the dough, then halve again. Hold a rope of ${length(ropeMm(plan))} against the gauge. `
              : ''}
            Cut with a scraper, no tearing.{' '}
            {!plan.noScale &&
              `Between ${mass(eachG - slackG, plan.scaleStepG)} and ${mass(eachG + slackG, plan.scaleStepG)} is even enough; `}
            {plan.noScale ? 'Small' : 'small'} bits go under, not on top.
          </Note>
        </>
      }
    >
      {!plan.noScale && <ScaleStrip target={{ label: toPress ? 'one ball' : 'one lump', targetG: eachG, take }} />}
      <div className="flex flex-wrap items-start gap-x-12 gap-y-4">
        <Big label={toPress ? 'balls' : 'lumps'} figure={formatNumber(count, 0)} unit="" />
        <div>
          {plan.noScale ? (
            <p className="text-xl">{byEyeWords(count)}</p>
          ) : (
            <>
              <Big label="each" figure={massFigure(eachG, plan.scaleStepG)} unit={units.mass} />
              <p className="figure text-md text-second">± {mass(slackG, plan.scaleStepG)}</p>
            </>
          )}
        </div>
      </div>
      {made.sheet && <DividedInto sheet={made.sheet.sheet} />}
      <LumpRow wanted={wanted} state={state} family={family} />
      <LumpWords wanted={wanted} state={state} stepG={plan.scaleStepG} />
    </StepPage>
  )
}
