/** A crumb through the press: what to feed and when, and when the barrel rests. */
import { formatNumber, isCrumb, pressAtBench } from '@harina/core'
import { ShapeEngraving } from '#web/ui/ShapeEngraving.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useMadeShape } from '../useMadeShape.ts'
import { StepPage } from '../StepPage.tsx'
import { Big, BigLength, Note, useBench, useStep } from '../view.tsx'
import { counted, pressWords } from '#web/words/index.ts'
import { Nests } from './Nests.tsx'
import { OtherShapes, useOtherShapes } from './OtherShapes.tsx'
import { useCounted } from './useCounted.tsx'
import { useOwnTimer } from './useOwnTimer.ts'

export function PressStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const step = useStep('press')
  const { press } = step
  const { blank } = plan.shape
  const run = pressAtBench(plan, running.state, step)
  const shape = useMadeShape(plan)
  const { mass, massFigure, units } = useUnits()
  const { made, counted: all, field, finish } = useCounted('press')
  const { startNamed } = useOwnTimer()
  const weighOff = useOtherShapes()
  return (
    <StepPage
      title={`Press: ${plan.shape.name}`}
      lead={
        isCrumb(plan.steps)
          ? 'Feed little and often; the first of the run goes back into the crumb.'
          : 'Feed one ball at a time and keep the others covered. Put the first dough that comes out back with them.'
      }
      action={weighOff ?? { label: 'Pressed, go on', run: finish }}
      second={
        run && press?.runMin
          ? {
              label: `Time its ${formatNumber(Math.min(press.runMin, Math.ceil(run.runMin)), 0)} min`,
              run: () => startNamed('rest the barrel', Math.max(1, Math.min(press.runMin ?? 1, Math.ceil(run.runMin)))),
            }
          : null
      }
      aside={
        <>
          {run && press && (
            <Note title={`${press.name}: ${formatNumber(run.runMin, run.runMin < 10 ? 1 : 0)} min of running`}>
              {run.rests === 0
                ? 'No rest needed. '
                : `${formatNumber(run.rests, 0)} ${run.rests === 1 ? 'rest' : 'rests'} of ${formatNumber(press.restMin, 0)} min, so that the barrel cools. `}
              {pressWords(run, press)}
            </Note>
          )}
          {all.unit === 'portion' && <Nests all={all} strandG={made.pieceG} />}
          <OtherShapes />
          <Note title="Never a finger in the feed" grade="caution">
            Use the pusher. Plug out before the die comes off or anything is cleared; dies and barrels are hot after a
            run.
          </Note>
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        {run && press ? (
          <>
            <Big label="feed" figure={massFigure(press.lumpG, 1)} unit={units.mass} />
            <Big label="every" figure={formatNumber(run.lumpEveryS, run.lumpEveryS < 10 ? 1 : 0)} unit="s" small />
            <Big label="cuts a minute" figure={formatNumber(run.piecesPerMin / run.outlets, 0)} unit="" small />
            {blank.type === 'die' && <BigLength label="cut at" mm={blank.cutMm} small />}
          </>
        ) : (
          <Big
            label={isCrumb(plan.steps) ? 'crumb' : 'dough'}
            figure={massFigure(made.usableG, plan.scaleStepG)}
            unit={units.mass}
          />
        )}
      </div>
      {!press && <p className="text-md">Describe your press in Gear, and feed and pace stand here next time.</p>}
      <div className="flex flex-wrap items-center gap-x-10 gap-y-3 border-t border-line pt-3">
        {shape && <ShapeEngraving shape={shape} width={300} height={160} withScale />}
        <div>
          <p className="figure text-2xl">
            {counted(all.count, all.unit)} of {mass(all.eachG, all.unit === 'piece' ? 0.01 : 1)}
          </p>
          {field}
        </div>
      </div>
    </StepPage>
  )
}
