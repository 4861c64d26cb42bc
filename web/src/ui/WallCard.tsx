/** A dough on one sheet of paper, for the wall above the bench: what goes in, where to stop, each step with its time, room to write. */
import {
  firstG,
  formatNumber,
  stepMinutes,
  stepsOf,
  waterNowC,
  waterTargets,
  type BenchState,
  type Plan,
} from '@harina/core'
import { format } from 'date-fns'
import { useKitchen } from '../state/select.ts'
import { liquidName, stepName } from '../words/index.ts'
import { PrintButton } from './PrintButton.tsx'
import { SidePanel } from './SidePanel.tsx'
import { useUnits } from './units.ts'

function GoesIn({ plan }: { plan: Plan }) {
  const rows = plan.rows.filter((row) => row.weighedG > 0)
  const { mass } = useUnits()
  const water = waterTargets(plan, { weighedG: {} })
  return (
    <table className="w-full border-collapse">
      <caption className="head pb-1 text-left text-md">Goes in</caption>
      <tbody>
        {rows.map((row) => (
          <tr key={row.key} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {row.name}
              {row.part === 'water' && water.holdBackG > 0 && (
                <span className="small block">
                  first to {mass(water.startG, plan.scaleStepG)}; {mass(water.holdBackG, plan.scaleStepG)} only if it
                  asks
                </span>
              )}
              {row.heldG !== undefined && (
                <span className="small block">
                  first {mass(firstG(row), plan.scaleStepG)}; {mass(row.heldG, plan.scaleStepG)} only if it asks
                </span>
              )}
            </th>
            <td className="figure text-right text-xl font-semibold whitespace-nowrap">
              {mass(row.weighedG, plan.scaleStepG)}
            </td>
            <td className="w-[22mm] border-l border-line" aria-hidden="true" />
          </tr>
        ))}
      </tbody>
    </table>
  )
}

interface Props {
  readonly plan: Plan
  readonly state: BenchState
  /** When it was begun; null for a draft. */
  readonly begunAt: string | null
  readonly onClose: () => void
}

export function WallCard({ plan, state, begunAt, onClose }: Props) {
  const right = useKitchen()?.doughs.get(plan.sheet.dough)?.feel.right
  const { mass, temperature } = useUnits()
  const waterC = waterNowC(plan, state)
  const steps = stepsOf(plan, state).filter(({ kind }) => kind !== 'ready' && kind !== 'verdict')
  return (
    <SidePanel title="A card for the wall" onClose={onClose} wide>
      <div className="border-2 border-ink p-4" data-print="card">
        <h3 className="head text-3xl leading-tight">{plan.sheet.name}</h3>
        <p className="small mb-3">
          {begunAt !== null && `${format(begunAt, 'EEEE d MMMM, HH:mm')} · `}
          {formatNumber(plan.shape.pieces, 0)} × {plan.shape.name} of {mass(plan.shape.pieceG, 0.01)}
          {waterC !== null && ` · ${liquidName(plan)} at ${temperature(waterC)}`}
        </p>
        <GoesIn plan={plan} />
        {right && (
          <p className="my-3 leading-snug">
            <span className="head">Right</span> is: {right}.
          </p>
        )}
        <table className="w-full border-collapse">
          <caption className="head pb-1 text-left text-md">In this order</caption>
          <tbody>
            {steps.map((step) => {
              const { minutes, hands } = stepMinutes(plan, state, step)
              return (
                <tr key={step.id} className="border-b border-line">
                  <th scope="row" className="py-1 text-left font-normal">
                    {stepName(step)}
                  </th>
                  <td className="figure text-right whitespace-nowrap">
                    {hands ? 'about ' : ''}
                    {formatNumber(Math.max(1, minutes), 0)} min
                  </td>
                  <td className="w-[22mm] border-l border-line" aria-hidden="true" />
                </tr>
              )
            })}
          </tbody>
        </table>
        <p className="small mt-3 leading-snug">
          Raw flour is not ready to eat.{' '}
          {plan.rows.some((row) => row.part === 'alkali') && 'Alkali: gloves, eye protection, as its label says. '}
          Your local food code comes first.
        </p>
      </div>
      <PrintButton className="action mt-4 self-start" />
    </SidePanel>
  )
}
