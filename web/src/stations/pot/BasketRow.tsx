/** One basket: in or out, its clock in seconds, when to taste it, and how far the water is in. */
import { formatCountdown, type Timer } from '@harina/core'
import { clockFor, dropAt } from '@harina/core/stove'
import type { CSSProperties } from 'react'
import { finishStep, recordTap, takeOut } from '#web/state/bench.ts'
import { useKitchen } from '#web/state/select.ts'
import { familyInk } from '#web/ui/family.tsx'
import { useUnits } from '#web/ui/units.ts'
import { counted, minutesWords, spanOfMinutes } from '#web/words/index.ts'
import type { Basket } from './baskets.ts'

interface Props {
  readonly basket: Basket
  readonly number: number
  readonly nowMs: number
  /** When all are to be up; null where nobody has said. */
  readonly upAtMs: number | null
}

/** Whole or half minutes as one says them, else to ten seconds. */
const told = (minutes: number) => Math.round(minutes * 6) / 6

const state = { null: 'fresh', cook: 'fresh', hold: 'from the fridge', freeze: 'frozen', dry: 'dried' } as const

/** The clock that runs for it in the pot; null before. */
export function clockOf({ running, clockId }: Basket): Timer | null {
  const clock = running.state.timers[clockId]
  return clock && clock.stage !== 'stopped' ? clock : null
}

/** What is done with it next, from wherever it waits. */
export async function actOn(basket: Basket, nowMs: number, upAtMs: number | null): Promise<void> {
  const { running, clockId, isHere, cooked } = basket
  const { batch, step } = running
  if (!isHere) {
    if (step?.kind === 'then') await finishStep(batch, { type: 'finish-chosen', finish: 'cook' })
    else await takeOut(batch, 1, batch.id)
    return
  }
  const clock = clockOf(basket)
  if (!clock) {
    const [from, to] = cooked.span
    const minutes = upAtMs === null ? (from + to) / 2 : clockFor([from, to], upAtMs, nowMs)
    await recordTap(batch, { type: 'timer-started', timer: clockId, minutes })
    return
  }
  const minutes = Number(Math.max(0, (nowMs - Date.parse(clock.startedAt)) / 60_000).toFixed(2))
  await finishStep(batch, { type: 'timer-stopped', timer: clockId }, { type: 'cooked', minutes })
}

/** What the dark button says. */
export function actionWords(basket: Basket): string {
  if (!basket.isHere) return basket.running.step?.kind === 'then' ? 'To the pot' : 'Out, to the pot'
  return clockOf(basket) ? 'Out' : 'In, boil is back'
}

function Clock({ basket, nowMs }: Pick<Props, 'basket' | 'nowMs'>) {
  const clock = clockOf(basket)
  if (!clock) return null
  const left = (clock.endsAtMs - nowMs) / 1000
  const goneMin = (nowMs - Date.parse(clock.startedAt)) / 60_000
  const { tasteAtMin } = basket.cooked
  return (
    <>
      <p className={`figure text-6xl leading-none font-semibold ${left < 0 ? 'text-danger' : ''}`}>
        {formatCountdown(left)}
      </p>
      <p className="small">
        {left < 0
          ? 'over'
          : goneMin >= tasteAtMin
            ? 'taste it now'
            : `taste in ${formatCountdown((tasteAtMin - goneMin) * 60)}`}
      </p>
    </>
  )
}

export function BasketRow({ basket, number, nowMs, upAtMs }: Props) {
  const kitchen = useKitchen()
  const { mass } = useUnits()
  const { running, cooked, grams, shape, finish } = basket
  const [from, to] = cooked.span
  const doneSign = kitchen?.shapes.get(running.batch.plan.shape.id)?.doneSign
  const family = kitchen?.doughs.get(running.batch.plan.sheet.dough)?.family ?? 'semolina'
  const isIn = clockOf(basket) !== null
  const dropAtMs = upAtMs === null || isIn || !basket.isHere ? null : dropAt([from, to], upAtMs)
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
          {shape}, {state[finish ?? 'null']}, {mass(grams)}; {spanOfMinutes(told(from), told(to))}
        </p>
        <p className="small leading-snug">
          {basket.learnt.n > 0 &&
            `By ${counted(basket.learnt.n, 'time')} of yours; the table says ${spanOfMinutes(told(basket.learnt.table[0]), told(basket.learnt.table[1]))}. `}
          Taste first at {minutesWords(told(cooked.tasteAtMin))}. Done: {doneSign ?? 'no white inside'}.
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
      <button
        type="button"
        className={`${isIn || (dropAtMs !== null && dropAtMs <= nowMs) ? 'action' : 'box'} min-h-16 min-w-44 text-lg font-semibold`}
        aria-label={`${actionWords(basket)}: ${basket.name}`}
        onClick={() => void actOn(basket, Date.now(), upAtMs)}
      >
        {actionWords(basket)}
      </button>
    </li>
  )
}
