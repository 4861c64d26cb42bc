/** The steps of the hand: divide, roll, shape, pull, fill. */
import {
  benchPieces,
  blankVolumeMm3,
  drawnOutMm,
  faceMm,
  fillingAtBench,
  formatNumber,
  lumpIsEven,
  lumps,
  pulled,
  RIM_MIN_MM,
  type BenchState,
  type Blank,
  type Lumps,
  type Plan,
} from '@harina/core'
import { useId, useState } from 'react'
import { finishStep, recordTap } from '../../../state/recordTap.ts'
import { HatchPattern, type Family } from '../../../ui/family.tsx'
import { useKitchen } from '../../../ui/kitchen.tsx'
import { QuantityField } from '../../../ui/QuantityField.tsx'
import { RopeOnBoard } from '../../../ui/RopeOnBoard.tsx'
import { BlankDrawing, blankWords } from '../../../ui/BlankDrawing.tsx'
import { LifeSize } from '../../../ui/gauge/LifeSize.tsx'
import { useScreenScale } from '../../../ui/gauge/useScreenScale.ts'
import { useUnits } from '../../../ui/units.ts'
import { ShapeEngraving } from '../../../ui/ShapeEngraving.tsx'
import { ScaleStrip } from '../scale/ScaleStrip.tsx'
import { Big, Note, StepSheet, useBench, useStep } from '../StepSheet.tsx'
import { BoardFlour } from './BoardFlour.tsx'
import { EvenPieces } from './EvenPieces.tsx'
import { HowTo } from './HowTo.tsx'
import { OtherShapes } from './OtherShapes.tsx'
import { useCounted } from './useCounted.tsx'

function useFamily(plan: Plan) {
  return useKitchen()?.doughs.get(plan.sheet.dough)?.family ?? 'semolina'
}

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
      className="block w-full max-w-[760px]"
      viewBox={`0 0 ${12 * BALL_PX} ${Math.ceil(drawn / 12) * BALL_PX}`}
      role="img"
      aria-label={`${wanted.count} lumps, ${state.lumps.length} of them weighed`}
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
    <p className="figure text-[20px]" role="status">
      {state.lumps.length} of {formatNumber(wanted.count, 0)} weighed
      {off.length > 0 &&
        `; ${off.map(({ grams }) => mass(grams, stepG)).join(', ')} ${off.length === 1 ? 'is' : 'are'} off: nip or add`}
      .
    </p>
  )
}

export function DivideStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { length, mass, massFigure, units } = useUnits()
  const made = benchPieces(plan, state)
  const family = useFamily(plan)
  const wanted = lumps(plan, state)
  const { count, eachG, slackG } = wanted
  const { rope } = made
  const take = (grams: number) => void recordTap(batch, { type: 'lumped', grams })
  return (
    <StepSheet
      title="Divide"
      lead={
        rope && count === rope.ropes
          ? `Each lump rolls out to one board of ${length(plan.boardMm)}. Keep what waits covered.`
          : 'Into what the hands, the roller or the hopper can take. Keep what waits covered.'
      }
      action={{ label: 'Divided, go on', run: () => void finishStep(batch) }}
      aside={
        <>
          <Note title={rope ? `${rope.piecesPerBoard} pieces from a board` : blankWords(plan.shape.blank, { length })}>
            {rope ? `${length(rope.ropeMm)} of rope in all, ` : ''}
            {mass(made.usableG, plan.scaleStepG)} of dough.
          </Note>
          <OtherShapes />
          <Note title="By weight">
            Cut with a scraper, no tearing. Between {mass(eachG - slackG, plan.scaleStepG)} and{' '}
            {mass(eachG + slackG, plan.scaleStepG)} is even enough; small bits go under, not on top.
          </Note>
        </>
      }
    >
      <ScaleStrip target={{ label: 'one lump', targetG: eachG, take }} />
      <div className="flex flex-wrap items-start gap-x-12 gap-y-4">
        <Big label="lumps" figure={formatNumber(count, 0)} unit="" />
        <div>
          <Big label="each" figure={massFigure(eachG, plan.scaleStepG)} unit={units.mass} />
          <p className="figure text-[17px] text-second">± {mass(slackG, plan.scaleStepG)}</p>
        </div>
      </div>
      <LumpRow wanted={wanted} state={state} family={family} />
      <LumpWords wanted={wanted} state={state} stepG={plan.scaleStepG} />
    </StepSheet>
  )
}

export function RollStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { blank } = plan.shape
  const { length, lengthFigure, units, mass } = useUnits()
  const made = benchPieces(plan, state)
  const family = useFamily(plan)
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  if (blank.type !== 'rope') return null
  const { rope } = made
  return (
    <StepSheet
      title="Roll the ropes"
      lead={shape?.board}
      action={{ label: 'Ropes cut, go on', run: () => void finishStep(batch) }}
      aside={
        <>
          <Note title="From the middle out">
            Both hands, fingers spread, little pressure. A rope that springs back waits under its cloth; one that slides
            wants a damp board, not flour.
          </Note>
          <Note title={`${formatNumber(made.pieces, 0)} pieces of ${mass(made.pieceG, 0.01)}`}>
            {rope ? `${length(rope.ropeMm)} of rope, ${formatNumber(rope.ropes, 0)} boards of it.` : ''}
          </Note>
          <BoardFlour />
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="thick" figure={lengthFigure(blank.diameterMm)} unit={units.length} />
        <Big label="cut every" figure={lengthFigure(blank.cutMm)} unit={units.length} />
      </div>
      {rope && (
        <RopeOnBoard
          boardMm={plan.boardMm}
          diameterMm={blank.diameterMm}
          cutMm={blank.cutMm}
          pieces={rope.piecesPerBoard}
          family={family}
        />
      )}
      <HeldAgainstTheScreen blank={blank} wallMm={shape?.wallMm ?? 2} />
    </StepSheet>
  )
}

/** At life size, once the screen was measured; a drawing to scale until then. */
function HeldAgainstTheScreen({ blank, wallMm }: { blank: Blank; wallMm: number }) {
  const { running } = useBench()
  const family = useFamily(running.batch.plan)
  const { pxPerMm } = useScreenScale()
  if (pxPerMm === null) return <BlankDrawing blank={blank} family={family} width={300} />
  return (
    <section aria-label="Gauge at life size" className="border-t border-line pt-2">
      <h2 className="head mb-1 text-[18px]">Hold it against the screen</h2>
      <LifeSize blank={blank} wallMm={wallMm} pxPerMm={pxPerMm} family={family} />
    </section>
  )
}

export function ShapeStep() {
  const { running } = useBench()
  const { perMin } = useStep('shape')
  const { plan } = running.batch
  const made = benchPieces(plan, running.state)
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  const { mass } = useUnits()
  const [pieces, setPieces] = useState<number | null>(null)
  const count = pieces ?? running.state.shapedPieces ?? made.pieces
  return (
    <StepSheet
      title={`Shape: ${plan.shape.name}`}
      lead={shape?.board}
      action={{
        label: 'Shaped, go on',
        run: () => void finishStep(running.batch, { type: 'shaped', pieces: Math.round(count) }),
      }}
      aside={
        <>
          <Note title="Keep one piece in sight">
            A first good piece beside the board holds the size when hands tire. It weighs {mass(made.pieceG, 0.01)}.
          </Note>
          {shape && (
            <Note title={`About ${Math.ceil(made.pieces / perMin)} min for one pair of hands`}>
              At {formatNumber(perMin, 0)} a minute, practised; {shape.piecesPerMin.learner} while learning. Then air{' '}
              {shape.airBeforeCookMin[0]} to {shape.airBeforeCookMin[1]} min before the pot.
            </Note>
          )}
          <Note title="Blades" grade="caution">
            Curl fingertips; cut away from the hand that holds.
          </Note>
          <BoardFlour />
        </>
      }
    >
      <div className="flex flex-wrap items-start gap-x-10 gap-y-4">
        <div>
          <Big label="pieces" figure={formatNumber(made.pieces, 0)} unit="" />
          <p className="mt-2 text-[17px] text-second">
            made{' '}
            <QuantityField
              label="Pieces made"
              shown={formatNumber(count, 0)}
              unit="count"
              min={0}
              max={1_000_000}
              className="text-[30px] font-semibold text-ink"
              widthCh={6}
              onChange={setPieces}
            />
          </p>
        </div>
        {shape && <ShapeEngraving shape={shape} width={330} height={170} withScale />}
      </div>
      <HeldAgainstTheScreen blank={plan.shape.blank} wallMm={shape?.wallMm ?? 2} />
      <EvenPieces />
      {shape && <HowTo shape={shape} />}
    </StepSheet>
  )
}

export function PullStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const { blank } = plan.shape
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  const { length, gapFigure, units } = useUnits()
  const { made, field, finish } = useCounted('pull')
  const strands = blank.type === 'rope' ? blank.drawn?.strands : undefined
  const longMm = drawnOutMm(blank)
  const rows =
    strands && longMm
      ? pulled({ volumeMm3: blankVolumeMm3(blank), loopMm: longMm, folds: Math.round(Math.log2(strands)) })
      : []
  return (
    <StepSheet
      title={`Pull: ${plan.shape.name}`}
      lead={shape?.board}
      action={{ label: 'Pulled, go on', run: finish }}
      aside={
        <>
          <Note title="It springs back?">
            Then it has not rested. Lay it down oiled, ten minutes, and take the next one. Torn strands go back into the
            dough only once.
          </Note>
          <Note title="Straight into the pot" grade="caution">
            The pot stands at arm’s length and boils before you pull. Lower them in from a stick or the board’s edge,
            hands out of the steam.
          </Note>
        </>
      }
    >
      <div className="flex flex-wrap items-start gap-x-12 gap-y-4">
        <Big label="lumps" figure={formatNumber(made.pieces, 0)} unit="" />
        {rows.length > 0 ? (
          <Big label="doublings" figure={formatNumber(rows.length - 1, 0)} unit="" />
        ) : (
          longMm !== null && <Big label="pulled to" figure={length(longMm)} unit="" small />
        )}
      </div>
      {rows.length > 0 && (
        <ol className="figure flex flex-wrap gap-x-6 gap-y-1 text-[19px]" aria-label="Strands by doubling">
          {rows.map((row) => (
            <li key={row.folds}>
              {formatNumber(row.strands, 0)} × {gapFigure(row.diameterMm)} {units.length}
            </li>
          ))}
        </ol>
      )}
      {field}
      {shape && <HowTo shape={shape} />}
    </StepSheet>
  )
}

export function FillStep() {
  const { running } = useBench()
  const step = useStep('fill')
  const { plan } = running.batch
  const { blank } = plan.shape
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  const { mass, massFigure, units, length } = useUnits()
  const made = benchPieces(plan, running.state)
  const count = running.state.shapedPieces ?? made.pieces
  const each = fillingAtBench(plan, running.state, step, shape?.wallMm ?? 1)
  const hasFace = faceMm(blank) > 0
  return (
    <StepSheet
      title={`Fill: ${plan.shape.name}`}
      lead="Cold filling, dry rims, all the air out before the seal."
      action={{ label: 'Filled and sealed, go on', run: () => void finishStep(running.batch) }}
      aside={
        <>
          <Note title={`${formatNumber(each.softAfterMin, 0)} min until the skin goes soft`}>
            A rule of thumb, for this wall and this filling: cook, freeze or chill before.
          </Note>
          {hasFace && each.rimMm < RIM_MIN_MM && (
            <Note title={`A rim of ${length(Math.max(0, each.rimMm))}`} grade="caution">
              That is too little to seal. Put less in.
            </Note>
          )}
          <Note title="Fillings" grade="caution">
            Not above 5 °C until they are wrapped, two hours out at most; cooked to 74 °C inside where there is meat,
            egg or fish. Your local code decides.
          </Note>
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="in each" figure={massFigure(step.gramsEach, 0.5)} unit={units.mass} />
        <Big label="pieces" figure={formatNumber(count, 0)} unit="" small />
      </div>
      <p className="text-[18px]">
        {mass(each.fillingG)} of {step.name.toLowerCase()} in all.
      </p>
      {shape && <HowTo shape={shape} />}
    </StepSheet>
  )
}
