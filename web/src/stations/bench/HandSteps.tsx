/** The steps of the hand: divide and shape. */
import { benchPieces, formatNumber, type Plan, type Shape } from '@harina/core'
import { useState } from 'react'
import { finishStep } from '../../state/recordTap.ts'
import { useKitchen } from '../../ui/kitchen.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { RopeOnBoard } from '../../ui/RopeOnBoard.tsx'
import { BlankDrawing, blankWords } from '../../ui/BlankDrawing.tsx'
import { LifeSize } from '../../ui/gauge/LifeSize.tsx'
import { useScreenScale } from '../../ui/gauge/useScreenScale.ts'
import { useUnits } from '../../ui/units.ts'
import { ShapeEngraving } from '../../ui/ShapeEngraving.tsx'
import { EvenPieces } from './EvenPieces.tsx'
import { Big, Note, StepSheet, useBench } from './StepSheet.tsx'

function useFamily(plan: Plan) {
  return useKitchen()?.doughs.get(plan.sheet.dough)?.family ?? 'semolina'
}

/** What one divides into: board lengths of rope, or portions where there is no rope. */
function lumpsOf(plan: Plan, made: ReturnType<typeof benchPieces>) {
  if (made.rope) return made.rope.ropes
  const { target } = plan.sheet
  return target.by === 'portions'
    ? Math.max(1, Math.ceil(target.count / 2))
    : Math.max(1, Math.ceil(made.usableG / 400))
}

export function DivideStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const { length, mass, massFigure, units } = useUnits()
  const made = benchPieces(plan, running.state)
  const family = useFamily(plan)
  const lumps = lumpsOf(plan, made)
  const { rope } = made
  return (
    <StepSheet
      title="Divide"
      lead={
        rope
          ? `Each lump rolls out to one board of ${length(plan.boardMm)}. Keep what waits covered.`
          : 'Into what the hands, the roller or the hopper can take. Keep what waits covered.'
      }
      action={{ label: 'Divided, go on', run: () => void finishStep(running.batch) }}
      aside={
        <Note title={rope ? `${rope.piecesPerBoard} pieces from a board` : blankWords(plan.shape.blank, { length })}>
          {rope ? `${length(rope.ropeMm)} of rope in all, ` : ''}
          {mass(made.usableG, plan.scaleStepG)} of dough.
        </Note>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="lumps" figure={formatNumber(lumps, 0)} unit="" />
        <Big label="each" figure={massFigure(made.usableG / Math.max(1, lumps), plan.scaleStepG)} unit={units.mass} />
      </div>
      {rope && plan.shape.blank.type === 'rope' && (
        <RopeOnBoard
          boardMm={plan.boardMm}
          diameterMm={plan.shape.blank.diameterMm}
          cutMm={plan.shape.blank.cutMm}
          pieces={rope.piecesPerBoard}
          family={family}
        />
      )}
      <BlankDrawing blank={plan.shape.blank} family={family} width={420} />
    </StepSheet>
  )
}

function HowTo({ shape }: { shape: Shape }) {
  return (
    <div className="grid gap-6 border-t border-line pt-3 md:grid-cols-[1.6fr_1fr]">
      <ol className="list-decimal space-y-1 pl-6 text-[18px]">
        {shape.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <div>
        <h2 className="head text-[18px]">Look for</h2>
        <ul className="text-[17px]">
          {shape.checks.map((check) => (
            <li key={check}>{check}</li>
          ))}
        </ul>
      </div>
    </div>
  )
}

export function ShapeStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const made = benchPieces(plan, running.state)
  const family = useFamily(plan)
  const shape = useKitchen()?.shapes.get(plan.shape.id)
  const { mass } = useUnits()
  const [pieces, setPieces] = useState<number | null>(null)
  const count = pieces ?? running.state.shapedPieces ?? made.pieces
  const { pxPerMm } = useScreenScale()
  const minutes = shape ? Math.ceil(made.pieces / shape.piecesPerMin.practised) : null
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
            <Note title={`About ${minutes} min for one pair of hands`}>
              At {shape.piecesPerMin.practised} a minute, practised; {shape.piecesPerMin.learner} while learning. Then
              air {shape.airBeforeCookMin[0]} to {shape.airBeforeCookMin[1]} min before the pot.
            </Note>
          )}
          <Note title="Blades" grade="caution">
            Curl fingertips; cut away from the hand that holds.
          </Note>
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
        <div className="flex flex-col items-center gap-3">
          {shape && <ShapeEngraving shape={shape} width={330} height={170} withScale />}
          {pxPerMm === null && <BlankDrawing blank={plan.shape.blank} family={family} width={300} />}
        </div>
      </div>
      {pxPerMm !== null && (
        <section aria-label="Gauge at life size" className="border-t border-line pt-2">
          <h2 className="head mb-1 text-[18px]">Hold it against the screen</h2>
          <LifeSize blank={plan.shape.blank} wallMm={shape?.wallMm ?? 2} pxPerMm={pxPerMm} family={family} />
        </section>
      )}
      <EvenPieces />
      {shape && <HowTo shape={shape} />}
    </StepSheet>
  )
}
