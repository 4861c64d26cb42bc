import {
  CUP_ML,
  formatNumber,
  parseQuantity,
  type Problem,
  type Reading,
  type Result,
  type Unit,
  type Units,
} from '@harina/core'
import {
  useDeferredValue,
  useEffect,
  useEffectEvent,
  useId,
  useLayoutEffect,
  useRef,
  useState,
  type KeyboardEvent,
} from 'react'
import { noteRefusal } from './refusal.ts'
import { problemTold, useUnits } from './units.ts'
import { nameInUnits } from '../words/index.ts'

/** How a field was left: what was typed in it counts, or it was given up or could not be read, and nothing of it counts. */
export type Left = 'read' | 'unread'

interface Props {
  readonly label: string
  /** Shown while nobody types. */
  readonly shown: string
  readonly unit: Unit
  readonly min: number
  readonly max: number
  /** Takes a good number, and may refuse it; what was there before then stays. */
  readonly onChange: (value: number) => Result<unknown> | void
  /** Left as unread it puts back what stood before; without it what was shown is given once more. */
  readonly onDone?: (left: Left) => void
  readonly className?: string
  readonly widthCh?: number
  /** Given, a mass may be typed as ml, cups or spoons of it. */
  readonly densityGPerMl?: number
  /** Given, a mass may be typed as so many of these, by their names in the singular. */
  readonly each?: Readonly<Record<string, number>> | undefined
}

/** What a bare number means to this maker. */
const bareUnit = (unit: Unit, { mass, temperature, length }: Units): string =>
  ({ g: mass, '°C': temperature, mm: length, '%': '', min: '', count: '' })[unit]

const plain = (shown: string): string => shown.replace(/\u202f/g, '')

/** One more or less of the last digit that stands there. @example 48.7 up → 48.8 */
function stepped(text: string, by: number): string | null {
  const read = /^[-−]?\d+(?:[.,](\d+))?$/.exec(text.trim())
  if (!read) return null
  const decimals = read[1]?.length ?? 0
  const value = Number(text.trim().replace(',', '.').replace('−', '-')) + by / 10 ** decimals
  return plain(formatNumber(value, decimals)).replace('−', '-')
}

/** How long it is said that something was not read. */
const SAID_MS = 8000

/** What was typed and has not counted, once the field is left: said beside what stands there. */
function useUnread() {
  const [unread, setUnread] = useState<string | null>(null)
  useEffect(() => {
    if (unread === null) return
    const over = setTimeout(() => setUnread(null), SAID_MS)
    return () => clearTimeout(over)
  }, [unread])
  return [unread, setUnread] as const
}

/**
 * A figure one can type over. A keystroke is on the screen at once and counts right after, so that on a slow device no letter
 * waits for the sheet to be worked out. What does not read as a whole is explained and changes nothing; left so, all that was
 * typed is taken back.
 */
export function QuantityField(props: Props) {
  const { label, shown, unit, min, max, onChange, onDone, className = '', widthCh, densityGPerMl, each } = props
  const [typed, setTyped] = useState<string | null>(null)
  const [wrong, setWrong] = useState<Problem | null>(null)
  const [unread, setUnread] = useUnread()
  const { units } = useUnits()
  const problemId = useId()
  /** What stood there before anything was typed; Escape brings it back. */
  const before = useRef(shown)
  const input = useRef<HTMLInputElement>(null)
  /** Focused and not yet typed into: all of it stands selected. */
  const fresh = useRef(false)
  // At once, not a frame later: a digit typed meanwhile would be selected too, and lost to the next.
  useLayoutEffect(() => {
    if (fresh.current && typed !== null) input.current?.select()
  }, [typed])

  /** What was typed last, what of it has counted, and whether anything has. */
  const last = useRef<string | null>(null)
  const counted = useRef<string | null>(null)
  const moved = useRef(false)

  const read = (text: string, from?: number): Result<number> => {
    const reading: Reading = {
      bare: bareUnit(unit, units),
      filled: densityGPerMl === undefined ? undefined : { gPerMl: densityGPerMl, cupMl: CUP_ML[units.cup] },
      each,
      from,
    }
    return parseQuantity(text, unit, { min, max }, reading)
  }
  const stood = (): number | undefined => {
    const was = read(before.current)
    return was.ok ? was.value : undefined
  }
  /** Whether what is typed counts. */
  const count = (): boolean => {
    if (last.current === null || last.current === counted.current) return wrong === null
    counted.current = last.current
    const value = read(last.current, stood())
    const taken = value.ok ? onChange(value.value) : value
    const refused = taken && !taken.ok ? taken.problem : null
    if (!refused) moved.current = true
    setWrong(refused)
    return refused === null
  }
  const countAfter = useEffectEvent(count)
  // Drawn with it once the letter is on the screen; a field that goes meanwhile takes nothing along.
  const drawn = useDeferredValue(typed)
  useEffect(() => void countAfter(), [drawn])
  const isOpen = typed !== null
  useEffect(() => {
    if (!isOpen) return
    const leave = () => void countAfter()
    // Before it is asked whether anything waits to be stored.
    addEventListener('beforeunload', leave, { capture: true })
    return () => {
      removeEventListener('beforeunload', leave, { capture: true })
      leave()
    }
  }, [isOpen])

  /** What has counted on the way is taken back. */
  const giveUp = () => {
    const was = stood()
    if (moved.current && !onDone && was !== undefined) onChange(was)
    onDone?.('unread')
    moved.current = false
  }
  const change = (text: string) => {
    fresh.current = false
    last.current = text
    setTyped(text)
  }
  const done = () => {
    const counts = count()
    if (counts) onDone?.('read')
    else {
      giveUp()
      noteRefusal()
      setUnread(last.current)
    }
    last.current = counted.current = null
    moved.current = false
    setTyped(null)
    setWrong(null)
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') event.currentTarget.blur()
    const by = { ArrowUp: 1, ArrowDown: -1 }[event.key]
    const next =
      by === undefined || event.altKey ? null : stepped(event.currentTarget.value, event.shiftKey ? 10 * by : by)
    if (next !== null) {
      event.preventDefault()
      if (read(next).ok) change(next)
    }
    if (event.key === 'Escape' && typed !== before.current) {
      event.stopPropagation()
      giveUp()
      last.current = counted.current = before.current
      fresh.current = true
      setWrong(null)
      setTyped(before.current)
    }
  }
  const said = wrong ? problemTold(wrong) : unread !== null ? `“${unread}” was not read: ${shown} stands.` : null

  return (
    <span className="relative inline-block">
      <input
        ref={input}
        className={`field figure text-right ${className}`}
        style={{ width: `${widthCh ?? Math.max(3, shown.length + 1)}ch` }}
        aria-label={nameInUnits(label, unit, units)}
        aria-invalid={wrong !== null}
        aria-describedby={said === null ? undefined : problemId}
        // Where cups and eggs can be written, a phone brings letters too.
        inputMode={densityGPerMl === undefined && !each ? 'decimal' : 'text'}
        autoComplete="off"
        value={typed ?? shown}
        onFocus={() => {
          fresh.current = true
          before.current = plain(shown)
          counted.current = before.current
          setUnread(null)
          setTyped(before.current)
        }}
        // A press sets the caret after the focus came; the first one selects all the same.
        onMouseUp={(event) => {
          if (fresh.current) event.currentTarget.select()
          fresh.current = false
        }}
        onChange={(event) => change(event.currentTarget.value)}
        onBlur={done}
        onKeyDown={onKeyDown}
      />
      {said !== null && (
        <span
          id={problemId}
          role={wrong ? 'alert' : 'status'}
          className="absolute top-full right-0 z-20 mt-1 w-60 border-l-4 border-danger bg-sheet p-2 text-left text-sm font-normal text-ink shadow-[0_0_0_1px_var(--line)]"
        >
          {said}
        </span>
      )}
    </span>
  )
}
