/** A sheet from the roller: settings as a staircase, how long it gets, and the stamps laid out, all to scale. */
import {
  formatNumber,
  formatPercent,
  rollPlan,
  sheetCutOf,
  stampCentres,
  type Kitchen,
  type KeptRoller,
  type Pass,
  type SheetPlan,
  type Stamp,
  type Worked,
} from '@harina/core'
import { useId, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { HatchPattern, type Family } from '../../ui/family.tsx'
import { useUnits } from '../../ui/units.ts'
import { problemWords } from '../../ui/words.ts'

const PX_PER_MM = 13
const STEP_PX = 52

/** Thickness pass by pass, to scale with itself; the setting stands under each. */
function Staircase({ steps }: { steps: readonly Pass[] }) {
  const { length } = useUnits()
  const high = Math.max(...steps.map((step) => step.outMm)) * PX_PER_MM
  return (
    <svg
      width={steps.length * STEP_PX + 4}
      height={high + 50}
      className="max-w-full"
      role="img"
      aria-label={steps.map((step) => `setting ${step.setting}: ${length(step.outMm)}`).join(', ')}
    >
      {steps.map((step, index) => {
        const thick = Math.max(2, step.outMm * PX_PER_MM)
        return (
          <g key={step.setting}>
            <rect
              x={index * STEP_PX + 2}
              y={high - thick + 20}
              width={STEP_PX - 6}
              height={thick}
              fill="var(--family)"
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            <text x={index * STEP_PX + 2} y={high - thick + 14} className="figure fill-second text-[14px]">
              {length(step.outMm)}
            </text>
            <text x={index * STEP_PX + 2} y={high + 44} className="figure fill-ink text-[24px] font-semibold">
              {step.setting}
            </text>
          </g>
        )
      })}
    </svg>
  )
}

/** One sheet with its stamps, seen from above; the length lies across. */
function Layout({ widthMm, plan, stamp, family }: { widthMm: number; plan: SheetPlan; stamp: Stamp; family: Family }) {
  const hatch = useId()
  const { sheetLengthMm } = plan.sheet
  const scale = Math.min(300 / sheetLengthMm, 90 / widthMm)
  if (!plan.stamped) return null
  const centres = stampCentres({ widthMm, lengthMm: sheetLengthMm }, stamp, plan.stamped.layout)
  return (
    <svg
      width={sheetLengthMm * scale + 4}
      height={widthMm * scale + 4}
      className="max-w-full"
      role="img"
      aria-label={`${centres.length} pieces on one sheet, to scale`}
    >
      <HatchPattern id={hatch} family={family} />
      <rect
        x="2"
        y="2"
        width={sheetLengthMm * scale}
        height={widthMm * scale}
        fill={`url(#${hatch})`}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {centres.map(({ acrossMm, alongMm }) => (
        <rect
          key={`${acrossMm} ${alongMm}`}
          x={2 + (alongMm - stamp.sizeMm / 2) * scale}
          y={2 + (acrossMm - stamp.sizeMm / 2) * scale}
          width={stamp.sizeMm * scale}
          height={stamp.sizeMm * scale}
          rx={stamp.shape === 'circle' ? (stamp.sizeMm / 2) * scale : 0}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ))}
    </svg>
  )
}

function Cutting({ worked, plan, roller }: { worked: Worked; plan: SheetPlan; roller: KeptRoller }) {
  const { length } = useUnits()
  const { sheet, stamped } = plan
  const cut = sheetCutOf(worked.shape)
  const sheets = `${length(sheet.lengthMm)} of sheet, ${length(roller.widthMm)} wide: ${sheet.sheets === 1 ? 'one piece' : `${formatNumber(sheet.sheets, 0)} pieces of ${length(sheet.sheetLengthMm)}`}`
  if (stamped && cut && 'stamp' in cut) {
    const later = stamped.generations.slice(1)
    return (
      <div>
        <Layout widthMm={roller.widthMm} plan={plan} stamp={cut.stamp} family={worked.dough.family} />
        <p className="mt-1 text-[16px] leading-snug">
          {sheets}. {formatNumber(stamped.perSheet, 0)} from a piece, {formatPercent(100 * stamped.scrapFraction)} %
          scrap
          {later.length > 0 &&
            `; its scrap rolled again gives ${later.map((each) => formatNumber(each.pieces, 0)).join(', then ')} more, and no further: it stiffens`}
          .
        </p>
      </div>
    )
  }
  return (
    <p className="text-[16px] leading-snug">
      {sheets}
      {sheet.strandsPerSheet !== undefined && `, ${formatNumber(sheet.strandsPerSheet, 0)} strands across`}.
    </p>
  )
}

function Rolled({ worked, plan, roller }: { worked: Worked; plan: SheetPlan; roller: KeptRoller }) {
  return (
    <div className="flex flex-col gap-2">
      <div>
        {plan.widest && plan.passes.ok && (
          <>
            <Staircase steps={[plan.widest, ...plan.passes.value]} />
            <p className="small leading-snug">
              Fold and pass at {plan.widest.setting} until smooth, then once at each. Keep hands, hair and sleeves away.
            </p>
          </>
        )}
        {!plan.passes.ok && <p role="alert">{problemWords(plan.passes.problem)}</p>}
        {!plan.widest && <p>Measure two settings of {roller.name} in Gear, and they stand here.</p>}
      </div>
      <Cutting worked={worked} plan={plan} roller={roller} />
    </div>
  )
}

export function ThroughRoller({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const { rollers, boardMm } = kitchen.gear
  const [id, setId] = useState<string | null>(null)
  const roller = rollers.find((each) => each.id === id) ?? rollers[0]
  const plan = useMemo(
    () => roller && rollPlan({ shape: worked.shape, doughG: worked.usableG }, worked, roller, boardMm),
    [worked, roller, boardMm],
  )
  if (!sheetCutOf(worked.shape)) return null
  return (
    <section aria-label="Through the roller">
      <h2 className="head mb-1 flex flex-wrap items-baseline gap-x-3 text-[18px]">
        Through the roller
        {rollers.length > 1 && (
          <select
            className="field small"
            aria-label="Roller"
            value={roller?.id}
            onChange={(event) => setId(event.target.value)}
          >
            {rollers.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        )}
        {rollers.length === 1 && <span className="small font-normal">{roller?.name}</span>}
      </h2>
      {plan && roller ? (
        <Rolled worked={worked} plan={plan} roller={roller} />
      ) : (
        <p>
          Describe your roller in{' '}
          <Link to="/gear" className="underline">
            Gear
          </Link>
          , and its settings stand here in order.
        </p>
      )}
    </section>
  )
}
