/** Noodles pulled by hand, and skins filled. */
import {
  benchPieces,
  blankVolumeMm3,
  drawnOutMm,
  faceMm,
  fillingAtBench,
  formatNumber,
  pulled,
  RIM_MIN_MM,
} from '@harina/core'
import { nanoid } from 'nanoid'
import { useState } from 'react'
import { finishStep, keepSkins } from '#web/state/bench.ts'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useMadeShape } from '../useMadeShape.ts'
import { StepPage } from '../StepPage.tsx'
import { Big, Note, useBench, useStep } from '../view.tsx'
import { HowTo } from './HowTo.tsx'
import { useCounted } from './useCounted.tsx'

export function PullStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const { blank } = plan.shape
  const shape = useMadeShape(plan)
  const { length, gapFigure, units } = useUnits()
  const { made, field, finish } = useCounted('pull')
  const strands = blank.type === 'rope' ? blank.drawn?.strands : undefined
  const longMm = drawnOutMm(blank)
  const rows =
    strands && longMm
      ? pulled({ volumeMm3: blankVolumeMm3(blank), loopMm: longMm, folds: Math.round(Math.log2(strands)) })
      : []
  return (
    <StepPage
      title={`Pull: ${plan.shape.name}`}
      lead="Take both ends; let the weight and the bounce do it, in one go."
      action={{ label: 'Pulled, go on', run: finish }}
      aside={
        <>
          {shape && <Note title="On the board">{shape.board}</Note>}
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
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="lumps" figure={formatNumber(made.pieces, 0)} unit="" />
        {rows.length > 0 ? (
          <Big label="doublings" figure={formatNumber(rows.length - 1, 0)} unit="" />
        ) : (
          longMm !== null && <Big label="pulled to" figure={length(longMm)} unit="" small />
        )}
      </div>
      {rows.length > 0 && (
        <ol className="figure flex flex-wrap gap-x-6 gap-y-1 text-lg" aria-label="Strands by doubling">
          {rows.map((row) => (
            <li key={row.folds}>
              {formatNumber(row.strands, 0)} × {gapFigure(row.diameterMm)} {units.length}
            </li>
          ))}
        </ol>
      )}
      {field}
      {shape && <HowTo shape={shape} />}
    </StepPage>
  )
}

/** So many skins are not filled today. */
function KeepEmpty({ count }: { count: number }) {
  const { running } = useBench()
  const [typed, setTyped] = useState<number | null>(null)
  // One part, however often the same press comes.
  const [other] = useState(() => nanoid())
  const some = Math.min(count, typed ?? Math.round(count / 2))
  if (count < 1) return null
  const keep = (finish: 'hold' | 'freeze') => void keepSkins(running.batch, some / count, other, finish)
  return (
    <p className="flex flex-wrap items-baseline gap-x-3 gap-y-2 border-t border-line pt-3 text-md">
      <span>
        Keep{' '}
        <QuantityField
          label="Skins to keep empty"
          shown={formatNumber(some, 0)}
          unit="count"
          min={1}
          max={count}
          widthCh={4}
          className="text-3xl font-semibold"
          onChange={(value) => setTyped(Math.round(value))}
        />{' '}
        of {formatNumber(count, 0)} empty:
      </span>
      <button type="button" className="press min-h-11" onClick={() => keep('freeze')}>
        Freeze {formatNumber(some, 0)}
      </button>
      <button type="button" className="press min-h-11" onClick={() => keep('hold')}>
        Chill {formatNumber(some, 0)}
      </button>
    </p>
  )
}

export function FillStep() {
  const { running } = useBench()
  const step = useStep('fill')
  const { plan } = running.batch
  const { blank } = plan.shape
  const shape = useMadeShape(plan)
  const { mass, massFigure, units, length, temperature } = useUnits()
  const made = benchPieces(plan, running.state)
  const count = running.state.shapedPieces ?? made.pieces
  const each = fillingAtBench(plan, running.state, step, shape?.wallMm ?? 1)
  const hasFace = faceMm(blank) > 0
  return (
    <StepPage
      title={`Fill: ${plan.shape.name}`}
      lead="Cold filling, dry rims, all the air out before the seal."
      action={{ label: 'Filled, go on', run: () => void finishStep(running.batch) }}
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
            Not above {temperature(5)} until they are wrapped, two hours out at most; cooked to {temperature(74)} inside
            where there is meat, egg or fish. Your local code decides.
          </Note>
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="in each" figure={massFigure(step.gramsEach, 0.5)} unit={units.mass} />
        <Big label="pieces" figure={formatNumber(count, 0)} unit="" small />
      </div>
      <p className="text-lg">
        {mass(each.fillingG)} of {step.name.toLowerCase()} in all.
      </p>
      {running.state.skins === null && <KeepEmpty count={count} />}
      {shape && <HowTo shape={shape} />}
    </StepPage>
  )
}
