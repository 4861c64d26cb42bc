/** Ropes rolled, pieces shaped. */
import {
  benchPieces,
  countedOf,
  formatNumber,
  paceKey,
  RIM_DRIES_MIN,
  rimsDryMeanwhile,
  ropesFuse,
  type Blank,
} from '@harina/core'
import { useState } from 'react'
import { finishStep } from '#web/state/bench.ts'
import { useFamily } from '#web/state/select.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { RopeOnBoard } from '#web/ui/RopeOnBoard.tsx'
import { BlankDrawing } from '#web/ui/BlankDrawing.tsx'
import { LifeSize } from '#web/ui/gauge/LifeSize.tsx'
import { useScreenScale } from '#web/ui/gauge/useScreenScale.ts'
import { useUnits } from '#web/ui/units.ts'
import { ShapeEngraving } from '#web/ui/ShapeEngraving.tsx'
import { useMadeShape } from '../useMadeShape.ts'
import { StepPage } from '../StepPage.tsx'
import { Big, BigLength, Note, useBench, useStep } from '../view.tsx'
import { BoardFlour } from './BoardFlour.tsx'
import { EvenPieces } from './EvenPieces.tsx'
import { HowTo } from './HowTo.tsx'
import { forget, useOwnMinutes } from './OwnMinutes.tsx'
import { batchesWords, capital, counted } from '#web/words/index.ts'

export function RollStep() {
  const { running } = useBench()
  const { batch, state } = running
  const { plan } = batch
  const { blank } = plan.shape
  const { length, mass } = useUnits()
  const made = benchPieces(plan, state)
  const family = useFamily(plan)
  const shape = useMadeShape(plan)
  if (blank.type !== 'rope') return null
  const { rope } = made
  return (
    <StepPage
      title="Roll the ropes"
      lead={shape?.board}
      action={{ label: 'Ropes cut, go on', run: () => void finishStep(batch) }}
      aside={
        <>
          <Note title="From the middle out">
            Both hands, fingers spread, little pressure; start both halves from the middle.{' '}
            {plan.body === 'gluten'
              ? `A rope that springs back waits under its cloth; one that slides wants ${plan.surface?.board === 'floured' ? 'its flour brushed off' : 'a damp board, not flour'}.`
              : 'A rope that breaks is too cold or too dry: press it together, and roll it shorter.'}
          </Note>
          <Note title={`${counted(made.pieces, 'piece')} of ${mass(made.pieceG, 0.01)}`}>
            {rope ? `${length(rope.ropeMm)} of rope, ${formatNumber(rope.ropes, 0)} boards of it.` : ''}
          </Note>
          {rope && ropesFuse(rope.ropes) && (
            <Note title="Ropes that wait">
              Side by side they fuse. Dust them lightly, or lay them apart under a cloth; the board under the one you
              roll stays as it is.
            </Note>
          )}
          <BoardFlour />
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <BigLength label="thick" mm={blank.diameterMm} />
        <BigLength label="cut every" mm={blank.cutMm} />
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
    </StepPage>
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
      <h2 className="head mb-1 text-lg">Hold it against the screen</h2>
      <LifeSize blank={blank} wallMm={wallMm} pxPerMm={pxPerMm} family={family} />
    </section>
  )
}

export function ShapeStep() {
  const { running } = useBench()
  const { perMin } = useStep('shape')
  const { plan } = running.batch
  const made = benchPieces(plan, running.state)
  const shape = useMadeShape(plan)
  const { mass } = useUnits()
  const [pieces, setPieces] = useState<number | null>(null)
  const paceOf = paceKey(plan.shape.id, running.state.hands)
  const mine = useOwnMinutes(paceOf)
  const pace = mine?.value ?? perMin
  const dryMin = rimsDryMeanwhile(made.pieces, pace)
  const all = countedOf(plan, running.state)
  const count = pieces ?? all.count
  return (
    <StepPage
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
            <Note title={`About ${Math.ceil(made.pieces / pace)} min for one pair of hands`}>
              {mine && (
                <>
                  At {formatNumber(mine.value, mine.value < 10 ? 1 : 0)} a minute, from {batchesWords(mine.n)} of yours.{' '}
                  <button type="button" className="quiet" onClick={() => forget(paceOf)}>
                    Forget it
                  </button>{' '}
                </>
              )}
              At {formatNumber(perMin, 0)} a minute, practised; {shape.piecesPerMin.learner} while learning.
              {shape.airBeforeCookMin[1] > 0 &&
                ` Then air them ${shape.airBeforeCookMin[0]} to ${shape.airBeforeCookMin[1]} min before the pot.`}
            </Note>
          )}
          {dryMin !== null && (
            <Note title="The first pieces dry before the last is shaped">
              Left open, a cut rim dries in about {RIM_DRIES_MIN} minutes. Cover what waits, fill two trays one after
              the other, put the first into the pot, or ask for more hands.
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
          <Big label={`${all.unit}s`} figure={formatNumber(all.count, 0)} unit="" />
          <p className="mt-2 text-md text-second">
            made{' '}
            <QuantityField
              label={`${capital(all.unit)}s made`}
              shown={formatNumber(count, 0)}
              unit="count"
              min={0}
              max={1_000_000}
              className="text-4xl font-semibold text-ink"
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
    </StepPage>
  )
}
