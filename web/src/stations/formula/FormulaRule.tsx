import {
  flourForMoisture,
  formatPercent,
  METHODS,
  onRule,
  readBand,
  setOnRule,
  windowOnRule,
  type Window,
  type Worked,
} from '@harina/core'
import { useMemo } from 'react'
import { HydrationRule } from '../../ui/rule/HydrationRule.tsx'
import { ruleRange, type RuleMark } from '../../ui/rule/ruleLayout.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { usePhone } from '../../ui/usePhone.ts'
import { useSheet } from './useSheet.ts'
import { methodWords } from '../../words/index.ts'
import { Term } from '#web/ui/Term.tsx'

/** Poured on paper, what all ingredients bring, and the 14 % basis; two that agree share a mark. */
function waterMarks({ batch, expected14, balance }: Worked, phone: boolean): readonly RuleMark[] {
  const { nominal, effective } = batch.hydration
  const apart = Math.abs(nominal - effective) >= 0.05
  const bound = effective - balance.availablePercent >= 1
  return [
    {
      id: 'nominal',
      at: nominal,
      kind: apart ? 'open' : 'triangle',
      label: `${formatPercent(nominal)} ${apart ? 'plain water' : 'poured and effective'}`,
    },
    ...(apart
      ? [
          {
            id: 'effective',
            at: effective,
            kind: 'triangle',
            label: `${formatPercent(effective)} ${phone ? 'effective' : 'effective, with what the rest brings'}`,
          } as const,
        ]
      : []),
    ...(bound
      ? [
          {
            id: 'available',
            at: balance.availablePercent,
            kind: 'dashed',
            label: `${formatPercent(balance.availablePercent)} free at once`,
          } as const,
        ]
      : []),
    {
      id: 'basis14',
      at: expected14,
      kind: 'dashed',
      label: `${formatPercent(expected14)} at ${phone ? '14 % flour' : 'standard 14 % flour moisture'}`,
    },
  ]
}

/** On a base: where the sheet stands with its dough's moisture, and where the table's best moisture would be. */
function baseMarks(worked: Worked): readonly RuleMark[] {
  if (worked.control.by !== 'base') return []
  const { flourOnBase } = worked.control
  const best = worked.dough.doughMoisture?.best
  const wanted = best === undefined ? null : flourForMoisture(worked, best / 100)
  return [
    {
      id: 'flour',
      at: flourOnBase,
      kind: 'triangle',
      label: `dough holds ${formatPercent(100 * worked.batch.doughMoisture)} % water`,
    },
    ...(wanted?.ok && Math.abs(wanted.value - flourOnBase) >= 0.5
      ? [
          {
            id: 'moisture',
            at: wanted.value,
            kind: 'dashed',
            label: `${formatPercent(wanted.value)} would bring it to ${formatPercent(best ?? 0)} %`,
          } as const,
        ]
      : []),
  ]
}

const overlap = (a: Window, b: Window): boolean => a.low <= b.high && b.low <= a.high

/** The shape's own method, and one other that shares some of its window: a far one would shrink the scale. */
function useWindows(worked: Worked) {
  const { dough, match, shape, control, poured, lot, flourShift, expected14 } = worked
  const value = onRule(worked)
  return useMemo(() => {
    const place = { control, poured, lot, flourShift }
    const methods = METHODS.filter((method) => dough.windows[method])
      .sort((a, b) => Number(b === shape.method) - Number(a === shape.method))
      .flatMap((method) => {
        const window = dough.windows[method]
        return window && overlap(window, match.window)
          ? [{ label: methodWords[method], window: windowOnRule(place, window) }]
          : []
      })
      .slice(0, 2)
    const shapeWindow = { label: shape.name, window: windowOnRule(place, match.window) }
    const ends = [shapeWindow, ...methods].flatMap(({ window }) => [window.low, window.high])
    const also = control.by === 'base' ? [] : [expected14]
    return { methods, shapeWindow, range: ruleRange([...ends, value, ...also]) }
  }, [dough, match.window, shape, control, poured, lot, flourShift, expected14, value])
}

/** What the rule counts, on what. */
export function scaleWords({ control, dough }: Worked): string {
  if (control.by === 'base') return `flour on 100 of ${control.base}`
  return dough.family === 'batter' ? 'all water on 100 of flour' : 'water on 100 of flour'
}

export function FormulaRule({ worked }: { worked: Worked }) {
  const { attempt, done } = useSheet()
  const value = onRule(worked)
  const { methods, shapeWindow, range } = useWindows(worked)
  const phone = usePhone()
  const marks = useMemo(
    () => (worked.control.by === 'base' ? baseMarks(worked) : waterMarks(worked, phone)),
    [worked, phone],
  )
  const read = readBand(worked)
  const set = (percent: number) => attempt(setOnRule(worked, percent), 'rule')
  const onBase = worked.control.by === 'base'
  return (
    <div className="flex flex-col-reverse items-stretch gap-x-4 md:flex-row md:items-start">
      <div className="min-w-0 flex-1">
        <HydrationRule
          family={worked.dough.family}
          from={range.from}
          to={range.to}
          value={value}
          shape={shapeWindow}
          methods={read ? [...methods, { label: 'as it was read', window: read }] : methods}
          marks={marks}
          label={
            onBase
              ? `Flour on 100 of ${worked.control.by === 'base' ? worked.control.base : ''}`
              : 'Water on 100 of flour'
          }
          onChange={(percent) => void set(percent)}
          onDone={done}
        />
      </div>
      <p className="shrink-0 self-end text-right md:w-39.5 md:self-start">
        <span className="figure whitespace-nowrap">
          <QuantityField
            label={onBase ? 'Flour on the base, percent' : 'Hydration, percent'}
            shown={formatPercent(value)}
            unit="%"
            min={onBase ? 1 : 0}
            max={onBase ? 300 : 200}
            className="text-5xl leading-none font-semibold"
            widthCh={4.6}
            onChange={set}
            onDone={done}
          />
          <span className="text-3xl"> %</span>
        </span>
        <span className="small block leading-tight">
          <Term of={onBase ? 'base' : 'hydration'}>{scaleWords(worked)}</Term>
        </span>
      </p>
    </div>
  )
}
