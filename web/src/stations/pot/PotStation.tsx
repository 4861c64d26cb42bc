/** The pot: the water, the baskets with their clocks, and several shapes up together. */
import { formatCountdown, liveTimers } from '@harina/core'
import { dropAt, soonestUp, upTogether } from '@harina/core/stove'
import { addDays, format, isValid, parse } from 'date-fns'
import { useMemo, useState, type CSSProperties } from 'react'
import { Link } from 'react-router'
import { ownTimers, recordTap, timeNow } from '#web/state/bench.ts'
import { preferred } from '#web/state/preferencesSlice.ts'
import { useKitchen, useRunningBatches } from '#web/state/select.ts'
import { useApp, useAppDispatch } from '#web/state/store.ts'
import { BatchStrip } from '#web/ui/BatchStrip.tsx'
import { ClockList } from '#web/ui/ClockList.tsx'
import { FindButton } from '#web/ui/FindButton.tsx'
import { usePageTitle } from '#web/ui/pageTitle.ts'
import { useKeys } from '#web/ui/useKeys.ts'
import { useKeyIsTaken } from '#web/ui/useKeyIsTaken.ts'
import { useNow } from '#web/ui/useNow.ts'
import { cookedIn } from '#web/ui/usePot.ts'
import { familyInk } from '#web/ui/family.tsx'
import { actionWords, actOn, BasketRow } from './BasketRow.tsx'
import { useBaskets, type Basket } from './baskets.ts'
import { Inside } from './Inside.tsx'
import { Line } from './Line.tsx'
import { WaterPanel } from './WaterPanel.tsx'

const HALF_DAY_MS = 12 * 3_600_000
/** After the pot, each with a clock of its own. */
const AFTER = [
  ['Drain', 0.5],
  ['Rinse', 1],
  ['Ice bath', 1],
  ['Brown in the pan', 3],
] as const

/** What runs after the pot stays in sight, also once the basket is out. */
function AfterClocks({ nowMs }: { nowMs: number }) {
  const running = useRunningBatches()
  const clocks = running.flatMap((each) =>
    liveTimers(each.batch.plan, each.state)
      .filter(({ id, step }) => cookedIn(each)?.id !== id && (step === null || step.kind === 'rinse'))
      .map((clock) => ({ batch: each.batch, clock })),
  )
  return <ClockList label="After the pot" clocks={clocks} nowMs={nowMs} />
}

function Empty({ nowMs }: { nowMs: number }) {
  return (
    <div className="m-auto max-w-md py-16 text-center">
      <h1 className="head mb-3 text-4xl">Nothing for the pot yet</h1>
      <p className="mb-6">
        What is shaped, chilled, frozen or dried would stand here as a basket each, with the water it wants, its clock,
        and when to drop it so that all come up together.
      </p>
      <Link to="/bench" className="quiet font-semibold">
        To the bench
      </Link>
      <AfterClocks nowMs={nowMs} />
    </div>
  )
}

/** The one that wants hands first: over its time, then the next that goes in, then the next to come out. */
function nextOf(baskets: readonly Basket[], upAtMs: number | null): Basket | undefined {
  const due = (basket: Basket): number => {
    if (basket.clock) return basket.clock.endsAtMs
    return upAtMs === null ? Number.MAX_SAFE_INTEGER : dropAt(basket, upAtMs)
  }
  return [...baskets].sort((a, b) => due(a) - due(b))[0]
}

/** When those at the pot are to be up together; null where each goes by itself, or that hour is long past. */
function upAtOf(here: readonly Basket[], nowMs: number): number | null {
  const told = here.flatMap(({ running: { state } }) => (state.upAt === null ? [] : [Date.parse(state.upAt)]))
  const latestMs = Math.max(...told)
  return latestMs > nowMs - HALF_DAY_MS ? latestMs : null
}

/** A time of the clock as one means it: today, or tomorrow where today's is long past. */
function whenIs(clock: string, nowMs: number): number | null {
  const at = parse(clock, 'HH:mm', nowMs)
  if (!isValid(at)) return null
  return at.getTime() < nowMs - HALF_DAY_MS ? addDays(at, 1).getTime() : at.getTime()
}

interface TogetherProps {
  readonly baskets: readonly Basket[]
  readonly upAtMs: number | null
  readonly nowMs: number
}

function Together({ baskets, upAtMs, nowMs }: TogetherProps) {
  const [clock, setClock] = useState('')
  const waiting = baskets.filter((basket) => basket.isHere && !basket.clock && basket.turn === 1)
  if (baskets.filter(({ isHere }) => isHere).length < 2) return null
  const order = upTogether(waiting)
  const first = order[0]
  const eachByItself = async () => {
    for (const { running } of baskets)
      if (running.state.upAt !== null) await recordTap(running.batch, { type: 'up-at', upAt: null })
  }
  if (upAtMs !== null)
    return (
      <p className="flex flex-wrap items-baseline gap-x-4" role="status">
        <span className="head text-xl">All up at {format(upAtMs, 'HH:mm:ss')}</span>
        <button type="button" className="quiet" onClick={() => void eachByItself()}>
          Each by itself
        </button>
      </p>
    )
  if (!first) return null
  const wantedMs = whenIs(clock, nowMs)
  const tooLate = wantedMs !== null && wantedMs < nowMs + first.beforeMin * 60_000
  /** Back from when they are up: a call for each that goes in later. */
  const together = async (atMs: number) => {
    const upAt = timeNow(new Date(atMs))
    for (const { load: basket, beforeMin } of order) {
      const minutes = (atMs - beforeMin * 60_000 - Date.now()) / 60_000
      const name = `Into the pot: ${basket.shape.name}`
      const calls = minutes > 0 ? ownTimers(basket.running.state, [{ name, minutes }]) : []
      await recordTap(basket.running.batch, { type: 'up-at', upAt }, ...calls)
    }
  }
  return (
    <div>
      <p className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <button
          type="button"
          className="box min-h-11 font-semibold"
          disabled={tooLate}
          onClick={() => void together(wantedMs ?? soonestUp(first, Date.now()))}
        >
          Bring them up together
        </button>
        <label className="small flex items-baseline gap-2">
          for
          <input
            type="time"
            aria-label="Service, time of day"
            className="field min-h-9 text-lg font-semibold text-ink"
            value={clock}
            onChange={({ target }) => setClock(target.value)}
          />
        </label>
        <span className="small">
          {clock === '' ? 'or as soon as it can be; ' : ''}the first goes in {formatCountdown(first.beforeMin * 60)}{' '}
          before; you are called for each
        </span>
      </p>
      {tooLate && (
        <p role="alert" className="mt-1 border-l-5 border-danger pl-3">
          Too late for that: {first.load.name} wants {formatCountdown(first.beforeMin * 60)}. Soonest is{' '}
          {format(soonestUp(first, nowMs), 'HH:mm')}.
        </p>
      )}
    </div>
  )
}

function After({ basket }: { basket: Basket }) {
  const { batch, state } = basket.running
  const start = (name: string, minutes: number) => {
    void recordTap(batch, ...ownTimers(state, [{ name: `${name}: ${basket.shape.name}`, minutes }]))
  }
  return (
    <p className="flex flex-wrap items-center gap-3">
      <span className="small">and after the pot, a clock for</span>
      {AFTER.map(([name, minutes]) => (
        <button key={name} type="button" className="box min-h-11 px-4" onClick={() => start(name, minutes)}>
          {name}
        </button>
      ))}
    </p>
  )
}

/** The log's own times, or the table alone. */
function TableOrLog({ any }: { any: boolean }) {
  const dispatch = useAppDispatch()
  const wanted = useApp((state) => state.preferences.learnt)
  if (wanted && !any) return null
  return (
    <p className="small">
      {wanted
        ? 'Times that were good to eat have moved those of the table; few move them little. '
        : 'By the table alone. '}
      <button type="button" className="quiet" onClick={() => dispatch(preferred({ learnt: !wanted }))}>
        {wanted ? 'Back to the table' : 'Use the times of the log'}
      </button>
    </p>
  )
}

interface ChipsProps {
  readonly baskets: readonly Basket[]
  readonly seen: Basket
  readonly onSee: (id: string) => void
}

/** Whose water is told. */
function WaterFor({ baskets, seen, onSee }: ChipsProps) {
  if (baskets.length < 2) return null
  return (
    <div role="group" aria-label="Water for" className="flex flex-wrap gap-2">
      {baskets.map(({ id, name }) => (
        <button key={id} type="button" aria-pressed={id === seen.id} className="chip" onClick={() => onSee(id)}>
          {name}
        </button>
      ))}
    </div>
  )
}

export default function PotStation() {
  const all = useBaskets()
  const gear = useKitchen()?.gear
  const nowMs = useNow(500)
  const [shown, setShown] = useState<string | null>(null)
  const baskets = useMemo(() => [...all].sort((a, b) => Number(b.isHere) - Number(a.isHere)), [all])
  const here = baskets.filter(({ isHere }) => isHere)
  const upAtMs = upAtOf(here, nowMs)
  const main = nextOf(here, upAtMs)
  const seen = baskets.find(({ id }) => id === shown) ?? main ?? baskets[0]
  usePageTitle(main?.name, 'Pot')
  useKeys({
    space: main ? () => void actOn(main, upAtMs) : null,
    spaceIsTaken: useKeyIsTaken(),
    digit: (digit) => baskets[digit - 1] && setShown(baskets[digit - 1]!.id),
  })
  return (
    <>
      <BatchStrip>
        <FindButton />
      </BatchStrip>
      <main id="work" className="relative min-h-0 flex-1 overflow-y-auto bg-sheet px-4 py-3 md:px-6.5">
        {!gear || baskets.length === 0 || !seen ? (
          <Empty nowMs={nowMs} />
        ) : (
          <div className="grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-5 xl:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
            <section aria-label="Baskets" className="flex flex-col gap-4">
              <div className="flex flex-wrap items-baseline gap-x-5">
                <h1 className="head text-3xl">Pot</h1>
                {main && (
                  <span className="small">
                    <span className="key">space</span> {actionWords(main).toLowerCase()}: {main.name}
                  </span>
                )}
              </div>
              <Together baskets={baskets} upAtMs={upAtMs} nowMs={nowMs} />
              <Line baskets={here} upAtMs={upAtMs} nowMs={nowMs} />
              <ul className="border-t border-line">
                {baskets.map((basket, n) => (
                  <BasketRow key={basket.id} basket={basket} number={n + 1} nowMs={nowMs} upAtMs={upAtMs} />
                ))}
              </ul>
              {main && <After basket={main} />}
              <AfterClocks nowMs={nowMs} />
              <TableOrLog any={baskets.some(({ learnt }) => learnt.n > 0)} />
              <p className="small max-w-[70ch] border-l-5 border-danger pl-3 leading-snug">
                No pot over three quarters full. Lower pieces in on a spider, handles turned in, drain away from you;
                floury pieces foam up fast.
              </p>
            </section>
            <div
              className="flex min-w-0 flex-col gap-5"
              style={
                {
                  '--family': familyInk[seen.family],
                } as CSSProperties
              }
            >
              <WaterFor baskets={baskets} seen={seen} onSee={setShown} />
              <WaterPanel basket={seen} gear={gear} />
              <Inside basket={seen} />
            </div>
          </div>
        )}
      </main>
    </>
  )
}
