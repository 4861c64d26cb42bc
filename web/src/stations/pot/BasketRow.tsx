/** One basket: in or out, its clock in seconds, when to taste it, and how far the water is in. */
import { formatCountdown } from '@harina/core'
import { clockFor, dropAt, floated, mayFloat, turnOut } from '@harina/core/stove'
import type { CSSProperties } from 'react'
import { finishStep, recordTap, takeOut } from '#web/state/bench.ts'
import { familyInk } from '#web/ui/family.tsx'
import { useUnits } from '#web/ui/units.ts'
import { batchesWords, counted, doneWords, keptAs, minutesWords, minuteSpan, toTheSixth } from '#web/words/index.ts'
import type { Basket } from './baskets.ts'

interface Props {
  readonly basket: Basket
  readonly number: number
  readonly nowMs: number
  /** When all are to be up; null where nobody has said. */
  readonly upAtMs: number | null
}

/** What is done with it next, from wherever it waits. */
export async function actOn(basket: Basket, upAtMs: number | null): Promise<void> {
  const { running, stepId, isHere, span, turn, turns, clock } = basket
  const { batch, step } = running
  const nowMs = Date.now()
  if (!isHere) {
    if (step?.kind === 'air') await finishStep(batch, { type: 'finish-chosen', finish: 'cook' })
    else await takeOut(batch, 1, batch.id)
    return
  }
  if (!clock) {
    const minutes = upAtMs === null ? (span[0] + span[1]) / 2 : clockFor(basket, turn, upAtMs, nowMs)
    await recordTap(batch, { type: 'timer-started', timer: stepId, minutes })
    return
  }
  if (turn < turns) {
    await recordTap(batch, ...turnOut(stepId, turn))
    return
  }
  const minutes = Number(Math.max(0, (nowMs - Date.parse(clock.startedAt)) / 60_000).toFixed(2))
  await finishStep(batch, { type: 'timer-stopped', timer: stepId }, { type: 'cooked', minutes })
}

/** What the dark button says. */
export function actionWords(basket: Basket): string {
  const { isHere, running, turn, turns, clock } = basket
  if (!isHere) return running.step?.kind === 'air' ? 'To the pot' : 'Out, to the pot'
  const which = turns > 1 ? ` ${turn} of ${turns}` : ''
  return clock ? `Out${which}` : `In${which}, boil is back`
}

function Clock({ basket, nowMs }: Pick<Props, 'basket' | 'nowMs'>) {
  const { clock } = basket
  if (!clock) return null
  const left = (clock.endsAtMs - nowMs) / 1000
  const goneMin = (nowMs - Date.parse(clock.startedAt)) / 60_000
  const { tasteAtMin, byClock } = basket
  return (
    <>
      <p className={`figure text-6xl leading-none font-semibold ${left < 0 ? 'text-danger' : ''}`}>
        {formatCountdown(left)}
      </p>
      <p className="small">
        {left < 0
          ? 'over'
          : byClock
            ? 'until they are lifted'
            : goneMin >= tasteAtMin
              ? 'taste it now'
              : `taste in ${formatCountdown((tasteAtMin - goneMin) * 60)}`}
      </p>
    </>
  )
}

export function BasketRow({ basket, number, nowMs, upAtMs }: Props) {
  const { mass } = useUnits()
  const { running, grams, shape, finish, span, turn, turns, water, clock, table, family, afterFloatMin, stepId } =
    basket
  const { plan } = running.batch
  const isIn = clock !== null
  // Only the first of several turns is called for by the clock; the others go in when the boil is back.
  const dropAtMs = upAtMs === null || isIn || !basket.isHere || turn > 1 ? null : dropAt(basket, upAtMs)
  const step = plan.steps.find(({ id }) => id === stepId)
  const sign = doneWords(step && 'done' in step ? step : {}, shape.doneSign)
  return (
    <li
      className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-l-5 border-b-line border-l-family py-3 pl-3"
      style={{ '--family': familyInk[family] } as CSSProperties}
    >
      <div className="min-w-48 flex-1">
        <h2 className="head text-xl leading-tight">
          <span className="figure mr-2 text-label opacity-75">{number}</span>
          {basket.name}
        </h2>
        <p className="small leading-snug">
          {plan.shape.name}, {keptAs[finish ?? 'cook']}, {mass(grams)}
          {turns > 1 && ` in ${counted(turns, 'turn')} of ${mass(water.eachG)}`}; {minuteSpan(span)}
        </p>
        <p className="small leading-snug">
          {basket.learnt.n > 0 &&
            `From ${batchesWords(basket.learnt.n)} of yours; the table says ${minuteSpan(table)}. `}
          {basket.byClock
            ? `Lift them at ${minutesWords(toTheSixth(basket.tasteAtMin))}, when the clock rings.`
            : `Taste first at ${minutesWords(toTheSixth(basket.tasteAtMin))}. Done: ${sign}.`}
        </p>
      </div>
      <div className="min-w-36">
        {isIn ? (
          <Clock basket={basket} nowMs={nowMs} />
        ) : dropAtMs !== null ? (
          <p className="figure text-3xl font-semibold">
            {dropAtMs <= nowMs ? 'in now' : `in ${formatCountdown((dropAtMs - nowMs) / 1000)}`}
            <span className="small block font-normal">until it goes in</span>
          </p>
        ) : null}
      </div>
      {clock && afterFloatMin !== null && mayFloat(basket, nowMs) && (
        <button
          type="button"
          className="box min-h-16 font-semibold"
          aria-label={`They float: ${basket.name}`}
          onClick={() => void recordTap(running.batch, floated(stepId, clock, afterFloatMin, Date.now()))}
        >
          They float
        </button>
      )}
      <button
        type="button"
        className={`${isIn || (dropAtMs !== null && dropAtMs <= nowMs) ? 'action' : 'box'} min-h-16 min-w-44 text-lg font-semibold`}
        aria-label={`${actionWords(basket)}: ${basket.name}`}
        onClick={() => void actOn(basket, upAtMs)}
      >
        {actionWords(basket)}
      </button>
    </li>
  )
}
