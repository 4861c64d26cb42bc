/** A sheet from the roller: settings as a staircase, how long it gets, and the stamps laid out, all to scale. */
import {
  formatNumber,
  formatPercent,
  gaugeSvg,
  layoutPage,
  rollerFor,
  sheetCutOf,
  type Kitchen,
  type KeptRoller,
  type Shape,
  type ShapeShare,
  type RolledSheetPlan,
  type Worked,
} from '@harina/core'
import { Link } from 'react-router'
import { download, plainFileName } from '#web/devices/download.ts'
import type { Family } from '#web/ui/family.tsx'
import { RollerStairs } from '#web/ui/RollerStairs.tsx'
import { StampLayout } from '#web/ui/StampLayout.tsx'
import { problemTold, useUnits } from '#web/ui/units.ts'
import { counted } from '#web/words/index.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useMachines } from './useMachines.ts'

/** How often what is left has been rolled out. */
const AGAIN = ['the first sheets', 'their scrap, rolled again', 'its scrap, once more']

function Cutting({ shape, family, plan }: Omit<Sheeted, 'roller'>) {
  const { length } = useUnits()
  const { sheet, stamped } = plan
  const cut = sheetCutOf(shape)
  const sheets = `${length(sheet.lengthMm)} of sheet, ${length(plan.widthMm)} wide: ${sheet.sheets === 1 ? 'one piece' : `${counted(sheet.sheets, 'piece')} of ${length(sheet.sheetLengthMm)}${stamped ? ', the last one shorter' : ''}`}`
  if (stamped && cut && 'stamp' in cut) {
    const saveLayout = () => {
      const page = layoutPage({ widthMm: plan.widthMm, lengthMm: sheet.sheetLengthMm }, cut.stamp, stamped.layout)
      download(`${plainFileName(shape.name) || 'shape'}-layout.svg`, gaugeSvg(page), 'image/svg+xml')
    }
    return (
      <div>
        <StampLayout widthMm={plan.widthMm} plan={plan} stamp={cut.stamp} family={family} />
        <table className="mt-2 text-left text-md">
          <caption className="sr-only">Stamped, from the first sheet to the last of the scrap</caption>
          <tbody>
            {stamped.generations.map(({ pieces }, n) => (
              <tr key={n} className="border-b border-line">
                <th scope="row" className="py-1 pr-6 font-normal">
                  {AGAIN[n] ?? 'and again'}
                  {n === 0 && (
                    <span className="small block">
                      {sheets}; {formatNumber(stamped.perSheet, 0)} from {sheet.sheets > 1 ? 'a whole one' : 'it'},{' '}
                      {formatPercent(100 * stamped.scrapFraction)} % scrap
                    </span>
                  )}
                </th>
                <td className="figure text-right text-2xl font-semibold">{formatNumber(pieces, 0)}</td>
              </tr>
            ))}
            <tr>
              <th scope="row" className="py-1 pr-6 font-normal">
                in all; then the scrap is too stiff
              </th>
              <td className="figure text-right text-2xl font-semibold">{formatNumber(plan.pieces, 0)}</td>
            </tr>
          </tbody>
        </table>
        <p className="mt-1">
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
      {sheet.strandsPerSheet !== undefined && `, ${counted(sheet.strandsPerSheet, 'strand')} across`}
      {shape.blank.type === 'sheet' && `, cut at ${length(shape.blank.lengthMm)}`}: {formatNumber(plan.pieces, 0)} in
      all.
    </p>
  )
}

interface Sheeted {
  readonly shape: Shape
  readonly family: Family
  readonly plan: RolledSheetPlan
  readonly roller: KeptRoller | null
}

/** By pin: what keeps a sheet even without a roller. */
function ByPin({ madeMm }: Pick<RolledSheetPlan, 'madeMm'>) {
  const { gapFigure, units } = useUnits()
  return (
    <p className="text-base leading-snug">
      To {gapFigure(madeMm)} {units.length}: two guide sticks of that height under the ends of the pin, or the gauge
      beside the rim. From the middle out, a quarter turn after every few strokes; lift it before it sticks, dust, and
      let it lie ten minutes when it springs back.
    </p>
  )
}

function Rolled({ shape, family, plan, roller }: Sheeted) {
  const { length } = useUnits()
  if (!roller)
    return (
      <div className="flex flex-col gap-2">
        <ByPin madeMm={plan.madeMm} />
        <Cutting shape={shape} family={family} plan={plan} />
      </div>
    )
  return (
    <div className="flex flex-col gap-2">
      <div>
        {plan.widest && plan.passes.ok && (
          <>
            <RollerStairs steps={[plan.widest, ...plan.passes.value]} />
            <p className="small leading-snug">
              {plan.folds > 0
                ? `Fold and pass at ${plan.widest.setting} until smooth: ${plan.folds === 1 ? 'one fold makes' : `${plan.folds} folds make`} ${2 ** plan.folds} layers. Then once at each. `
                : 'It is folded already: once at each. '}
              It comes out {length(plan.madeMm)} thick. Keep hands, hair and sleeves away.
            </p>
          </>
        )}
        {!plan.passes.ok && <p role="alert">{problemTold(plan.passes.problem)}</p>}
        {!plan.widest && <p>Measure two settings of {roller.name} in Gear, and they stand here.</p>}
      </div>
      <Cutting shape={shape} family={family} plan={plan} />
    </div>
  )
}

const PIN = 'by-pin'

export function ThroughRoller({ part, worked, kitchen }: { part: ShapeShare; worked: Worked; kitchen: Kitchen }) {
  const { rollers } = kitchen.gear
  const { machines } = worked.sheet
  const change = useMachines(worked)
  const plan = part.cut.sheet
  if (!plan) return null
  const roller = rollerFor(worked.sheet, kitchen.gear)
  return (
    <section aria-label="Rolled out">
      <h2 className="head mb-1 flex flex-wrap items-baseline gap-x-3 text-lg">
        {roller ? 'Through the roller' : 'Under the pin'}
        {rollers.length > 0 && (
          <Choice
            label="Roller or pin"
            className="field small"
            value={roller?.id ?? PIN}
            options={[...rollers.map((each) => [each.id, each.name] as const), [PIN, 'by pin alone']]}
            onChange={(chosen) => change(chosen === PIN ? { byPin: true } : { byPin: false, roller: chosen })}
          />
        )}
        {roller && (
          <Choice
            label="How the sheet is run"
            className="field small font-normal"
            value={machines.belt ? 'belt' : 'single'}
            options={[
              ['single', 'single sheets'],
              ['belt', 'as a belt, its ends joined'],
            ]}
            onChange={(chosen) => change({ belt: chosen === 'belt' })}
          />
        )}
        {roller && (
          <span className="small font-normal whitespace-nowrap">
            folded first{' '}
            <QuantityField
              label="Folds before thinning"
              shown={formatNumber(plan.folds, 0)}
              unit="count"
              min={0}
              max={12}
              widthCh={3}
              onChange={(folds) => void change({ folds: Math.round(folds) })}
            />{' '}
            times
          </span>
        )}
      </h2>
      <Rolled shape={part.shape} family={worked.dough.family} plan={plan} roller={roller} />
      {rollers.length === 0 && (
        <p className="small mt-1">
          Describe a roller in{' '}
          <Link to="/gear/machines" className="underline">
            Gear
          </Link>
          , and its settings stand here in order.
        </p>
      )}
    </section>
  )
}
