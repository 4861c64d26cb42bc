import { formatPercent, METHODS, pouredWindow, setPoured, type Window, type Worked } from '@harina/core'
import { useMemo } from 'react'
import { HydrationRule } from '../../ui/rule/HydrationRule.tsx'
import { ruleRange, type RuleMark } from '../../ui/rule/ruleLayout.ts'
import { methodWords } from '../../ui/words.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { useSheet } from './useSheet.ts'

/** Poured on paper, what all ingredients bring, and the 14 % basis; two that agree share a mark. */
function marksOf({ batch, expected14 }: Worked): readonly RuleMark[] {
  const { nominal, effective } = batch.hydration
  const apart = Math.abs(nominal - effective) >= 0.05
  return [
    {
      id: 'nominal',
      at: nominal,
      kind: apart ? 'open' : 'triangle',
      label: `${formatPercent(nominal)} ${apart ? 'poured' : 'poured and effective'}`,
    },
    ...(apart
      ? [
          {
            id: 'effective',
            at: effective,
            kind: 'triangle',
            label: `${formatPercent(effective)} effective, with what the rest brings`,
          } as const,
        ]
      : []),
    { id: 'basis14', at: expected14, kind: 'dashed', label: `${formatPercent(expected14)} on 14 % flour` },
  ]
}

function useWindows(worked: Worked) {
  const { poured, dough, match, shape, lot, batch } = worked
  return useMemo(() => {
    // A thirsty lot wants more for the same stiffness, so the windows move with it too.
    const moved = (window: Window) => pouredWindow(poured, window, lot.shift)
    const methods = METHODS.flatMap((method) => {
      const window = dough.windows[method]
      return window && (method === shape.method || method === 'cut')
        ? [{ label: methodWords[method], window: moved(window) }]
        : []
    })
    const shapeWindow = { label: shape.name, window: moved(match.window) }
    const ends = [shapeWindow, ...methods].flatMap(({ window }) => [window.low, window.high])
    return { methods, shapeWindow, range: ruleRange([...ends, batch.hydration.effective, worked.expected14]) }
  }, [poured, dough, match.window, shape, lot.shift, batch.hydration.effective, worked.expected14])
}

export function FormulaRule({ worked }: { worked: Worked }) {
  const { edit, done } = useSheet()
  const { effective } = worked.batch.hydration
  const { methods, shapeWindow, range } = useWindows(worked)
  const marks = useMemo(() => marksOf(worked), [worked])
  const set = (percent: number) => edit(() => setPoured(worked, percent), 'rule')
  return (
    <div className="flex flex-col-reverse items-stretch gap-x-4 md:flex-row md:items-start">
      <div className="min-w-0 flex-1">
        <HydrationRule
          family={worked.dough.family}
          from={range.from}
          to={range.to}
          value={effective}
          shape={shapeWindow}
          methods={methods}
          marks={marks}
          label="Water on 100 of flour"
          onChange={set}
          onDone={done}
        />
      </div>
      <p className="figure shrink-0 self-end whitespace-nowrap md:self-start">
        <QuantityField
          label="Hydration, percent"
          shown={formatPercent(effective)}
          unit="%"
          min={0}
          max={200}
          className="text-[46px] leading-none font-semibold"
          widthCh={4.4}
          onChange={set}
          onDone={done}
        />
        <span className="text-2xl"> %</span>
      </p>
    </div>
  )
}
