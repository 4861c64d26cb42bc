/** Every dough at once: who wants the cook next, and how the hours of each lie ahead. Thick where hands are wanted, thin where it waits. */
import { hoursAhead, type Stretch } from '@harina/core'
import { format } from 'date-fns'
import { Link, useNavigate } from 'react-router'
import { callsOf, type Calling } from '../../ui/batches.ts'
import { type RunningBatch } from '../../state/select.ts'
import { familyInk } from '../../ui/family.tsx'
import { useFamily } from '../../state/select.ts'
import { useKeys } from '../../ui/useKeys.ts'
import { usePageTitle } from '../../ui/pageTitle.ts'
import { useKeyIsTaken } from '../../ui/useKeyIsTaken.ts'
import { useNow } from '../../ui/useNow.ts'
import { useWidth } from '../../ui/useWidth.ts'
import { batchTitle, callWords, stepName } from '../../words/index.ts'

const HOUR_MS = 3_600_000
const SPAN_MS = 4 * HOUR_MS
const HIGH = 46
const HANDS_PX = 22
const WAITS_PX = 5
/** Here half hours would crowd. */
const NARROW_PX = 600
/** Narrower than this and a word would not fit. */
const WORD_PX = 44

function Ribbon({
  stretches,
  nowMs,
  width,
  ink,
}: {
  stretches: readonly Stretch[]
  nowMs: number
  width: number
  ink: string
}) {
  const x = (ms: number) => ((ms - nowMs) / SPAN_MS) * width
  const inView = stretches.filter(({ fromMs }) => fromMs < nowMs + SPAN_MS)
  return (
    <svg
      width={width}
      height={HIGH}
      className="block"
      role="img"
      aria-label={inView
        .map(({ step, fromMs, hands }) => `${format(fromMs, 'HH:mm')} ${stepName(step)}${hands ? '' : ', waiting'}`)
        .join('; ')}
    >
      {inView.map(({ step, fromMs, toMs, hands }) => {
        const [from, to] = [x(fromMs), Math.min(width, x(toMs))]
        const thick = hands ? HANDS_PX : WAITS_PX
        return (
          <g key={step.id}>
            <rect
              x={from}
              y={HIGH - 4 - thick}
              width={Math.max(1, to - from - 1.5)}
              height={thick}
              fill={ink}
              opacity={hands ? 1 : 0.75}
            />
            {to - from > WORD_PX && (
              <text x={from + 1} y={13} className="fill-second text-sm">
                {stepName(step)}
              </text>
            )}
          </g>
        )
      })}
    </svg>
  )
}

function Hours({ nowMs, width }: { nowMs: number; width: number }) {
  const everyMs = width < NARROW_PX ? HOUR_MS : HOUR_MS / 2
  const first = Math.ceil(nowMs / everyMs) * everyMs
  const ticks = Array.from({ length: Math.floor(SPAN_MS / everyMs) }, (_, n) => first + n * everyMs)
  return (
    <svg width={width} height={22} className="block" aria-hidden="true">
      {ticks.map((ms) => {
        const x = ((ms - nowMs) / SPAN_MS) * width
        return (
          <g key={ms}>
            <path d={`M${x} 14V22`} stroke="var(--ink)" />
            <text x={x + 4} y={15} className="figure fill-second text-sm">
              {format(ms, 'HH:mm')}
            </text>
          </g>
        )
      })}
      <path d={`M0 21.5H${width}`} stroke="var(--ink)" />
    </svg>
  )
}

function Lane({ calling, digit, nowMs, width }: { calling: Calling; digit: number; nowMs: number; width: number }) {
  const { running, call } = calling
  const { batch, state } = running
  const family = useFamily(batch.plan)
  const urgent = call.why === 'rings' || call.why === 'hands'
  return (
    <li className="border-b border-line py-2">
      <Link to={`/bench/${batch.id}`} className="block hover:bg-ground">
        <span className="flex items-baseline gap-4">
          <span className="min-w-0 truncate">
            <span className="figure mr-2 text-label text-second">{digit}</span>
            <span className="head text-xl">{batchTitle(batch)}</span>
          </span>
          {state.hands && <span className="small truncate">{state.hands.who}</span>}
          <span className={`figure ml-auto text-2xl whitespace-nowrap ${urgent ? 'font-semibold' : 'text-second'}`}>
            {callWords(call, nowMs)}
          </span>
        </span>
        <Ribbon
          stretches={state.paused ? [] : hoursAhead(batch.plan, state, nowMs)}
          nowMs={nowMs}
          width={width}
          ink={familyInk[family]}
        />
      </Link>
    </li>
  )
}

export function Lanes({ batches }: { batches: readonly RunningBatch[] }) {
  usePageTitle('Timeline of all doughs', 'Bench')
  const nowMs = useNow()
  const navigate = useNavigate()
  const [measure, width] = useWidth(1000)
  const calls = callsOf(batches, nowMs)
  const first = calls[0]
  const open = (calling = first) => calling && void navigate(`/bench/${calling.running.batch.id}`)
  useKeys({
    space: () => open(),
    spaceIsTaken: useKeyIsTaken(),
    digit: (digit) => calls[digit - 1] && open(calls[digit - 1]),
  })
  if (!first) return null
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-4 pt-2">
      <section aria-label="Next call" className="flex flex-wrap items-end gap-x-8 gap-y-2 border-b border-ink pb-4">
        <div className="min-w-0 flex-1">
          <h1 className="text-md text-second">Next</h1>
          <p className="head truncate text-4xl leading-tight md:text-5xl">{batchTitle(first.running.batch)}</p>
          <p className="figure text-3xl md:text-4xl">{callWords(first.call, nowMs)}</p>
        </div>
        <button type="button" className="action flex min-h-19 items-center gap-4 px-8 text-2xl" onClick={() => open()}>
          <span className="head">Go to it</span>
          <span className="figure hidden text-label font-normal opacity-75 lg:inline">space</span>
        </button>
      </section>
      <section aria-label="The doughs" ref={measure} className="min-w-0">
        <Hours nowMs={nowMs} width={width} />
        <ul>
          {calls.map((calling, index) => (
            <Lane key={calling.running.batch.id} calling={calling} digit={index + 1} nowMs={nowMs} width={width} />
          ))}
        </ul>
        <p className="small mt-2">
          Thick where it wants hands, thin where it waits. Running clocks as they stand; the rest is reckoned from the
          formula.
        </p>
      </section>
    </div>
  )
}
