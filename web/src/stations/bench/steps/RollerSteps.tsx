/** A sheet: folded, thinned pass by pass, cut or stamped. */
import {
  blankCut,
  foldInto,
  layersOf,
  foldsDone,
  foldTick,
  LIGHTS,
  lightThrough,
  formatNumber,
  formatPercent,
  rolledSheetAtBench,
  type FoldIn,
  type Pass,
  type RolledSheetPlan,
  type StepOf,
} from '@harina/core'
import { useMemo } from 'react'
import { finishStep, recordTap } from '#web/state/bench.ts'
import { useKitchen, useFamily } from '#web/state/select.ts'
import { RollerStairs } from '#web/ui/RollerStairs.tsx'
import { StampLayout } from '#web/ui/StampLayout.tsx'
import { problemTold, useUnits } from '#web/ui/units.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useMadeShape } from '../useMadeShape.ts'
import { StepPage, type StepAction } from '../StepPage.tsx'
import { Big, BigLength, Note, useBench, useStep } from '../view.tsx'
import { BoardFlour } from './BoardFlour.tsx'
import { DividedInto } from './DividedInto.tsx'
import { HowTo } from './HowTo.tsx'
import { Nests } from './Nests.tsx'
import { OtherShapes, useOtherShapes } from './OtherShapes.tsx'
import { useCounted } from './useCounted.tsx'
import { counted, foldedWords, lightWords } from '#web/words/index.ts'

function useSheetPlan(): RolledSheetPlan | null {
  const { running } = useBench()
  return useMemo(() => rolledSheetAtBench(running.batch.plan, running.state), [running])
}

/** Goes that are ticked off one by one, with the space bar or a knuckle. */
function useTally(count: number) {
  const { running, step } = useBench()
  const ids = Array.from({ length: count }, (_, n) => `${step.id}-${n + 1}`)
  const done = ids.filter((id) => running.state.ticked.includes(id)).length
  const next = ids[done]
  return { done, tick: next ? () => void recordTap(running.batch, { type: 'ticked', item: next, on: true }) : null }
}

function Tally({ count, done }: { count: number; done: number }) {
  return (
    <p className="flex gap-2" role="img" aria-label={`${done} of ${count} done`}>
      {Array.from({ length: count }, (_, n) => (
        <span key={n} className={`h-9 w-4 border-2 border-ink ${n < done ? 'bg-ink' : ''}`} />
      ))}
    </p>
  )
}

function RollerCaution() {
  return (
    <Note title="Rollers" grade="caution">
      Hair, sleeves and rings away; feed with the flat of the hand, never a fingertip. Stop it, and pull the plug,
      before anything is cleared from it.
    </Note>
  )
}

export function FoldStep() {
  const { running } = useBench()
  const step = useStep('fold')
  const plan = useSheetPlan()
  const { folds, layers } = foldsDone(running.state, step.id)
  const isLeft = folds < step.times
  const fold = (into: FoldIn) =>
    void recordTap(running.batch, { type: 'ticked', item: foldTick(step.id, folds + 1, into), on: true })
  const usual = foldInto(step.inTo, folds + 1)
  const finish = () => void finishStep(running.batch)
  return (
    <StepPage
      title="Press, fold and roll"
      lead={`Press the crumbs into a slab, roll it, fold it ${foldedWords(step.inTo)}, roll again: ${step.times} times.`}
      action={
        isLeft ? { label: `Fold ${folds + 1} done`, run: () => fold(usual) } : { label: 'Smooth, go on', run: finish }
      }
      second={isLeft ? { label: 'Smooth already, go on', run: finish } : null}
      aside={
        <>
          <Note title="Rough is right at first">
            Torn edges fold in and heal. Crumbs that will not hold together want more time in the bag before they want
            water.
          </Note>
          <RollerCaution />
          <BoardFlour />
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="folds" figure={`${folds}`} unit={`of ${step.times}`} />
        <Big label="layers" figure={formatNumber(layers, 0)} unit="" small />
        {isLeft && (
          <button type="button" className="press" onClick={() => fold(usual === 3 ? 2 : 3)}>
            {usual === 3 ? 'This one in two' : 'This one in three, like a letter'}
          </button>
        )}
      </div>
      <Tally count={step.times} done={folds} />
      {plan?.widest && (
        <p className="text-lg">
          At the widest, setting {plan.widest.setting}; the layers run with the sheet, and so will the bite.
        </p>
      )}
    </StepPage>
  )
}

/** One piece through every setting, then the next. */
function OneByOne({ passes, pieces, done }: { passes: readonly Pass[]; pieces: number; done: number }) {
  const all = passes.map(({ setting }) => formatNumber(setting, 0)).join(', ')
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="piece" figure={formatNumber(Math.min(pieces, done + 1), 0)} unit={`of ${pieces}`} />
        <p className="pb-3 text-lg text-second">
          through {passes.length === 1 ? 'setting' : 'settings'} {all}, then covered
        </p>
      </div>
      <Tally count={pieces} done={done} />
    </>
  )
}

function PassFigures({ passes, done, madeMm }: { passes: readonly Pass[]; done: number; madeMm: number }) {
  const { length, gapFigure, units } = useUnits()
  const now = passes[done]
  if (!now) return <Big label="all passes" figure={gapFigure(madeMm)} unit={units.length} />
  return (
    <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
      <Big label={`pass ${done + 1} of ${passes.length}, setting`} figure={formatNumber(now.setting, 0)} unit="" />
      <p className="pb-3 text-lg text-second">
        gap {gapFigure(now.gapMm)} {units.length}; the sheet comes out {length(now.outMm)} thick
      </p>
    </div>
  )
}

const PIN = 'by-pin'

/** The roller of the plan, another of Gear, or the pin: what is at hand today. */
function RolledBy() {
  const { running } = useBench()
  const step = useStep('thin')
  const rollers = useKitchen()?.gear.rollers ?? []
  if (rollers.length === 0) return null
  return (
    <p className="max-w-72">
      <Choice
        label="Roller or pin"
        className="field w-full text-md"
        value={step.roller?.id ?? PIN}
        options={[...rollers.map((each) => [each.id, each.name] as const), [PIN, 'by pin alone']]}
        onChange={(chosen) =>
          void recordTap(running.batch, {
            type: 'rolled-by',
            roller: rollers.find(({ id }) => id === chosen) ?? null,
          })
        }
      />
    </p>
  )
}

/** Folds and passes at the widest first, then once through each setting. */
function ThroughSettings({
  plan,
  folds,
  done,
  pieces,
  inTo,
}: {
  plan: RolledSheetPlan
  folds: number
  inTo: StepOf<'thin'>['inTo']
  done: number
  /** That go through every setting one by one; 0 where all go through each together. */
  pieces: number
}) {
  const { length } = useUnits()
  const passes = plan.passes.ok ? plan.passes.value : []
  const { widest } = plan
  if (!widest) return null
  return (
    <>
      {done < folds ? (
        <>
          <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
            <Big label={`fold ${done + 1} of ${folds}, setting`} figure={formatNumber(widest.setting, 0)} unit="" />
            <p className="pb-3 text-lg text-second">
              folded {foldInto(inTo, done + 1) === 3 ? 'in three' : 'in two'}, and through the widest again:{' '}
              {counted(layersOf(done + 1, inTo), 'layer')}
            </p>
          </div>
          <Tally count={folds} done={done} />
        </>
      ) : (
        passes.length > 0 &&
        (pieces > 0 ? (
          <OneByOne passes={passes} pieces={pieces} done={done - folds} />
        ) : (
          <PassFigures passes={passes} done={done - folds} madeMm={plan.madeMm} />
        ))
      )}
      {passes.length > 0 && (
        <RollerStairs steps={[widest, ...passes]} now={pieces > 0 ? passes.length : Math.max(0, done - folds + 1)} />
      )}
      {passes.length === 0 && plan.passes.ok && (
        <p className="max-w-184 text-lg leading-snug">
          The widest, setting {widest.setting}, leaves {length(widest.outMm)}: once through it, and no further.
          {plan.madeMm > widest.outMm + 0.01 && ' For thicker than that, finish with the pin.'}
        </p>
      )}
    </>
  )
}

function UnderPin({ plan }: { plan: RolledSheetPlan }) {
  const { gapFigure, units } = useUnits()
  return (
    <>
      <Big label="thickness" figure={gapFigure(plan.madeMm)} unit={units.length} />
      <ol className="max-w-184 list-decimal pl-6 text-lg leading-snug">
        <li>
          Use guide sticks or stops of that height. Below the lowest stop, go on without them and hold the sheet to the
          light.
        </li>
        <li>Roll from the middle out, never over the rim, and turn it a quarter after every few strokes.</li>
        <li>Lift it before it sticks, and dust under it. If it springs back, let it lie for ten minutes.</li>
      </ol>
    </>
  )
}

/** As it came out: stops or gauge read in millimetres, or what shows through the sheet against a window. */
function HowThin({ plan }: { plan: RolledSheetPlan }) {
  const { running, step } = useBench()
  const { gapFigure, length, units } = useUnits()
  const { thinnedMm } = running.state
  const aim = lightThrough(plan.madeMm)
  const thinned = (mm: number) => void recordTap(running.batch, { type: 'thinned', mm })
  return (
    <div className="flex flex-col gap-2 border-t border-line pt-3">
      <p className="text-md">
        The stops or the gauge read{' '}
        <QuantityField
          key={step.id}
          label="Thickness of the sheet"
          shown={gapFigure(thinnedMm ?? plan.madeMm)}
          unit="mm"
          min={0.05}
          max={50}
          widthCh={5}
          className="text-3xl font-semibold"
          onChange={thinned}
        />{' '}
        {units.length}, or against a window one sees:
      </p>
      <div role="group" aria-label="Seen through the sheet" className="flex flex-wrap">
        {LIGHTS.map((each) => (
          <button
            key={each.id}
            type="button"
            aria-pressed={thinnedMm === each.mm}
            className="press -mt-px -ml-px min-h-14 px-4 text-left"
            onClick={() => thinned(each.mm)}
          >
            <span className={each === aim ? 'font-semibold' : ''}>{lightWords[each.id]}</span>
            <span className="figure block text-label opacity-75">
              about {length(each.mm)}
              {each === aim && thinnedMm === null && ', as wanted'}
            </span>
          </button>
        ))}
      </div>
    </div>
  )
}

/** Goes of this step: folds first, then passes, or pieces one by one. */
function goLabel(done: number, folds: number, oneByOne: boolean): string {
  if (done < folds) return `Fold ${done + 1} done`
  const n = done - folds + 1
  return oneByOne ? `Piece ${n} done` : `Pass ${n} done`
}

export function ThinStep() {
  const { running } = useBench()
  const step = useStep('thin')
  const { gapFigure, length, units } = useUnits()
  const plan = useSheetPlan()
  const passes = plan?.passes.ok ? plan.passes.value : []
  const folds = step.roller ? step.folds : 0
  const pieces = plan ? plan.sheet.sheets : 1
  const oneByOne = step.oneByOne === true && pieces > 1 && passes.length > 0
  const tally = useTally(folds + (oneByOne ? pieces : passes.length))
  const weighOff = useOtherShapes()
  const finish = () => void finishStep(running.batch)
  const further = plan?.further
  const goes: StepAction = tally.tick
    ? { label: goLabel(tally.done, folds, oneByOne), run: tally.tick }
    : { label: 'Thin enough, go on', run: finish }
  const once = further && {
    label: `Thinner still: setting ${further.setting}, ${gapFigure(further.outMm)} ${units.length}`,
    run: () => void recordTap(running.batch, { type: 'thinned', mm: further.outMm }),
  }
  return (
    <StepPage
      title="Thin the sheet"
      lead={
        step.roller
          ? `${step.roller.name}${step.belt ? ', as a belt, its ends joined' : ''}. Let a sheet that springs back lie ten minutes.`
          : 'With the pin, from the middle out, a quarter turn each time. Carry a thin sheet on the backs of your hands.'
      }
      action={weighOff ?? goes}
      second={weighOff ? null : tally.tick ? { label: 'Thin enough, go on', run: finish } : (once ?? null)}
      aside={
        <>
          <OtherShapes />
          <Note title={`To ${gapFigure(plan?.madeMm ?? 0)} ${units.length}`}>
            {pieces > 1 &&
              `${counted(pieces, 'piece')} of ${length(plan?.sheet.sheetLengthMm ?? 0)}. ${
                oneByOne
                  ? 'Take one through every setting, cover it, and take the next. '
                  : step.roller
                    ? step.oneByOne
                      ? 'Take one through, cover it, and take the next. '
                      : 'Take all of them through one setting before the next. '
                    : 'Roll one, cover it, and take the next. '
              }`}
            Measure a folded corner: two thicknesses are easier to read than one.
          </Note>
          {step.roller && <RollerCaution />}
          <BoardFlour />
        </>
      }
    >
      <RolledBy />
      {plan && step.roller && (
        <ThroughSettings plan={plan} folds={folds} done={tally.done} pieces={oneByOne ? pieces : 0} inTo={step.inTo} />
      )}
      {plan && (!step.roller || !plan.widest) && (
        <>
          <UnderPin plan={plan} />
          <HowThin plan={plan} />
        </>
      )}
      {plan && !running.batch.plan.steps.some(({ kind }) => kind === 'divide') && <DividedInto sheet={plan.sheet} />}
      {plan && !plan.passes.ok && (
        <p role="alert" className="text-lg">
          {problemTold(plan.passes.problem)}
        </p>
      )}
    </StepPage>
  )
}

export function CutStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const { blank } = plan.shape
  const sheet = useSheetPlan()
  const shape = useMadeShape(plan)
  const { mass, gapFigure, units } = useUnits()
  const { made, counted: all, field, finish } = useCounted('cut')
  if (blank.type !== 'sheet') return null
  return (
    <StepPage
      title={`Cut: ${plan.shape.name}`}
      lead={shape?.board}
      action={{ label: 'Cut, go on', run: finish }}
      aside={
        <>
          {all.unit === 'portion' ? (
            <Nests all={all} strandG={made.pieceG} />
          ) : (
            <Note title={`${counted(made.pieces, 'piece')} of ${mass(made.pieceG, 0.1)}`}>
              Keep what waits flat and covered.
            </Note>
          )}
          <Note title="Blades" grade="caution">
            Fold loosely, curl the fingertips, let the knife fall straight. Keep fingers away from the cutters.
          </Note>
          <BoardFlour />
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <BigLength label="width" mm={blank.widthMm} />
        <BigLength label="length" mm={blank.lengthMm} small />
        {sheet && <Big label="thick" figure={gapFigure(sheet.madeMm)} unit={units.length} small />}
      </div>
      {field}
      {shape && <HowTo shape={shape} />}
    </StepPage>
  )
}

export function StampStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const { blank } = plan.shape
  const shape = useMadeShape(plan)
  const family = useFamily(plan)
  const sheet = useSheetPlan()
  const cut = blankCut(blank)
  const { mass } = useUnits()
  const { made, field, finish } = useCounted('stamp')
  const sizeMm = blank.type === 'disc' ? blank.diameterMm : blank.type === 'sheet' ? blank.widthMm : 0
  const stamped = sheet?.stamped
  return (
    <StepPage
      title={`Stamp: ${plan.shape.name}`}
      lead={shape?.board}
      action={{ label: 'Stamped, go on', run: finish }}
      aside={
        <>
          <Note title={`${mass(made.pieceG, 0.1)} each`}>
            {stamped
              ? `${formatNumber(stamped.perSheet, 0)} from a sheet, ${formatPercent(100 * stamped.scrapFraction)} % scrap. Scrap is rolled again twice at the most: it stiffens.`
              : 'Stamp edge to edge; scrap is rolled again twice at the most.'}
            {(plan.surface?.dust ?? shape?.dust?.with) === 'starch' &&
              ' Two sheets with starch between can be stamped at once.'}
          </Note>
          <Note title="Cutters" grade="caution">
            Press with the palm on the blunt side; count the cutters when you are done.
          </Note>
          <BoardFlour />
        </>
      }
    >
      <div className="flex flex-wrap items-end gap-x-12 gap-y-4">
        <Big label="pieces" figure={formatNumber(made.pieces, 0)} unit="" />
        <BigLength label={blank.type === 'disc' ? 'across' : 'square'} mm={sizeMm} small />
      </div>
      {sheet && cut && 'stamp' in cut && (
        <StampLayout widthMm={sheet.widthMm} plan={sheet} stamp={cut.stamp} family={family} />
      )}
      {field}
      {shape && !plan.steps.some((step) => step.kind === 'shape') && <HowTo shape={shape} />}
    </StepPage>
  )
}
