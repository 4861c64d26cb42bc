/** How wet a recipe is as a band on the rule, under the window of the dough it may be. */
import { formatPercent } from '@harina/core'
import type { Decoded, Near } from '@harina/core/recipe'
import { windowFor } from '@harina/core/match'
import { HydrationRule } from '../../ui/rule/HydrationRule.tsx'
import { ruleRange } from '../../ui/rule/ruleLayout.ts'

export function ReadBand({ decoded: { hydration }, near: { dough, shape, value } }: { decoded: Decoded; near: Near }) {
  const { window } = windowFor(shape, dough)
  const onBase = dough.control.by === 'base'
  const band = onBase || !hydration ? null : { low: hydration.low, best: hydration.typical, high: hydration.high }
  const { from, to } = ruleRange([window.low, window.high, value, ...(band ? [band.low, band.high] : [])])
  const isBand = band !== null && band.high - band.low > 0.5
  return (
    <div>
      <p className="leading-snug">
        <span className="figure text-3xl font-semibold">{formatPercent(value)} %</span>{' '}
        {dough.control.by === 'base' ? `flour on ${dough.control.base}` : 'water on flour'}
        {isBand && `, between ${formatPercent(band.low)} and ${formatPercent(band.high)} by the way it is measured`}
      </p>
      <HydrationRule
        family={dough.family}
        from={from}
        to={to}
        value={value}
        shape={{ label: shape.name, window }}
        methods={isBand ? [{ label: 'as it is measured', window: band }] : []}
        marks={[]}
        label="What was read, on the rule"
      />
    </div>
  )
}
