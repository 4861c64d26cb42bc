/** A sheet from the roller: settings as a staircase, how long it gets, and the stamps laid out, all to scale. */
import {
  formatNumber,
  formatPercent,
  gaugeSvg,
  layoutPage,
  rollPlan,
  sheetCutOf,
  type Kitchen,
  type KeptRoller,
  type Shape,
  type ShapeShare,
  type RolledSheetPlan,
  type Worked,
} from '@harina/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { download, plainFileName } from '#web/devices/download.ts'
import type { Family } from '#web/ui/family.tsx'
import { RollerStairs } from '#web/ui/RollerStairs.tsx'
import { StampLayout } from '#web/ui/StampLayout.tsx'
import { useUnits } from '#web/ui/units.ts'
import { problemWords } from '#web/words/index.ts'
import { Choice } from '#web/ui/Choice.tsx'

function Cutting({ shape, family, plan, roller }: Sheeted) {
  const { length } = useUnits()
  const { sheet, stamped } = plan
  const cut = sheetCutOf(shape)
  const sheets = `${length(sheet.lengthMm)} of sheet, ${length(roller.widthMm)} wide: ${sheet.sheets === 1 ? 'one piece' : `${formatNumber(sheet.sheets, 0)} pieces of ${length(sheet.sheetLengthMm)}`}`
  if (stamped && cut && 'stamp' in cut) {
    const later = stamped.generations.slice(1)
    const saveLayout = () => {
      const page = layoutPage({ widthMm: roller.widthMm, lengthMm: sheet.sheetLengthMm }, cut.stamp, stamped.layout)
      download(`${plainFileName(shape.name) || 'shape'}-layout.svg`, gaugeSvg(page), 'image/svg+xml')
    }
    return (
      <div>
        <StampLayout widthMm={roller.widthMm} plan={plan} stamp={cut.stamp} family={family} />
        <p className="mt-1 text-base leading-snug">
          {sheets}. {formatNumber(stamped.perSheet, 0)} from a piece, {formatPercent(100 * stamped.scrapFraction)} %
          scrap
          {later.length > 0 &&
            `; its scrap rolled again gives ${later.map((each) => formatNumber(each.pieces, 0)).join(', then ')} more, and no further: it stiffens`}
          . That is {formatNumber(stamped.pieces * sheet.sheets, 0)} in all; the rest stays scrap.{' '}
          <button type="button" className="quiet" onClick={saveLayout}>
            Layout at full size (SVG)
          </button>
        </p>
      </div>
    )
  }
  return (
    <p className="text-base leading-snug">
      {sheets}
      {sheet.strandsPerSheet !== undefined && `, ${formatNumber(sheet.strandsPerSheet, 0)} strands across`}
      {shape.blank.type === 'sheet' && `, cut at ${length(shape.blank.lengthMm)}`}.
    </p>
  )
}

interface Sheeted {
  readonly shape: Shape
  readonly family: Family
  readonly plan: RolledSheetPlan
  readonly roller: KeptRoller
}

function Rolled({ shape, family, plan, roller }: Sheeted) {
  return (
    <div className="flex flex-col gap-2">
      <div>
        {plan.widest && plan.passes.ok && (
          <>
            <RollerStairs steps={[plan.widest, ...plan.passes.value]} />
            <p className="small leading-snug">
              Fold and pass at {plan.widest.setting} until smooth: {plan.folds} folds make {2 ** plan.folds} layers.
              Then once at each. Keep hands, hair and sleeves away.
            </p>
          </>
        )}
        {!plan.passes.ok && <p role="alert">{problemWords(plan.passes.problem)}</p>}
        {!plan.widest && <p>Measure two settings of {roller.name} in Gear, and they stand here.</p>}
      </div>
      <Cutting shape={shape} family={family} plan={plan} roller={roller} />
    </div>
  )
}

export function ThroughRoller({ part, worked, kitchen }: { part: ShapeShare; worked: Worked; kitchen: Kitchen }) {
  const { rollers, boardMm } = kitchen.gear
  const [id, setId] = useState<string | null>(null)
  const roller = rollers.find((each) => each.id === id) ?? rollers[0]
  const [belt, setBelt] = useState(false)
  // A belt hangs double round the roller, so it may be twice as long as arms.
  const reachMm = belt ? 2 * boardMm : boardMm
  const plan = useMemo(() => roller && rollPlan(part, worked, roller, reachMm), [part, worked, roller, reachMm])
  if (!sheetCutOf(part.shape)) return null
  return (
    <section aria-label="Through the roller">
      <h2 className="head mb-1 flex flex-wrap items-baseline gap-x-3 text-lg">
        Through the roller
        {rollers.length > 1 && (
          <Choice
            label="Roller"
            className="field small"
            value={roller?.id ?? ''}
            options={rollers.map((each) => [each.id, each.name] as const)}
            onChange={(chosen) => setId(chosen)}
          />
        )}
        {rollers.length === 1 && <span className="small font-normal">{roller?.name}</span>}
        {roller && (
          <Choice
            label="How the sheet is run"
            className="field small font-normal"
            value={belt ? 'belt' : 'single'}
            options={[
              ['single', 'single sheets'],
              ['belt', 'as a belt, its ends joined'],
            ]}
            onChange={(chosen) => setBelt(chosen === 'belt')}
          />
        )}
      </h2>
      {plan && roller ? (
        <Rolled shape={part.shape} family={worked.dough.family} plan={plan} roller={roller} />
      ) : (
        <p>
          Describe your roller in{' '}
          <Link to="/gear/machines" className="underline">
            Gear
          </Link>
          , and its settings stand here in order.
        </p>
      )}
    </section>
  )
}
