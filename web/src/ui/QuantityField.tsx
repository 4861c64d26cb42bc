import { CUP_ML, parseQuantity, type Problem, type Result, type Unit, type Units } from '@harina/core'
import { useDeferredValue, useEffect, useEffectEvent, useId, useLayoutEffect, useRef, useState } from 'react'
import { useUnits } from './units.ts'
import { problemWords } from '../words/index.ts'

interface Props {
  readonly label: string
  /** Shown while nobody types. */
  readonly shown: string
  readonly unit: Unit
  readonly min: number
  readonly max: number
  /** Takes a good number, and may refuse it; what was there before then stays. */
  readonly onChange: (value: number) => Result<unknown> | void
  readonly onDone?: () => void
  readonly className?: string
  readonly widthCh?: number
  /** Given, a mass may be typed as ml, cups or spoons of it. */
  readonly densityGPerMl?: number
}

/** What a bare number means to this maker. */
const bareUnit = (unit: Unit, { mass, temperature, length }: Units): string =>
  ({ g: mass, '°C': temperature, mm: length, '%': '', min: '', count: '' })[unit]

/**
 * A figure one can type over. A keystroke is on the screen at once and counts right after, so that on a slow device no letter
 * waits for the sheet to be worked out; a bad one is explained and changes nothing.
 */
export function QuantityField(props: Props) {
  const { label, shown, unit, min, max, onChange, onDone, className = '', widthCh, densityGPerMl } = props
  const [typed, setTyped] = useState<string | null>(null)
  const [wrong, setWrong] = useState<Problem | null>(null)
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

  /** What was typed last, and what of it has counted. */
  const last = useRef<string | null>(null)
  const counted = useRef<string | null>(null)

  const count = () => {
    if (last.current === null || last.current === counted.current) return
    counted.current = last.current
    const read = parseQuantity(
      last.current,
      unit,
      { min, max },
      {
        bare: bareUnit(unit, units),
        filled: densityGPerMl === undefined ? undefined : { gPerMl: densityGPerMl, cupMl: CUP_ML[units.cup] },
      },
    )
    const taken = read.ok ? onChange(read.value) : read
    setWrong(taken && !taken.ok ? taken.problem : null)
  }
  const countAfter = useEffectEvent(count)
  // Drawn with it once the letter is on the screen; a field that goes meanwhile takes nothing along.
  const drawn = useDeferredValue(typed)
  useEffect(() => countAfter(), [drawn])
  const isOpen = typed !== null
  useEffect(() => {
    if (!isOpen) return
    const leave = () => countAfter()
    // Before it is asked whether anything waits to be stored.
    addEventListener('beforeunload', leave, { capture: true })
    return () => {
      removeEventListener('beforeunload', leave, { capture: true })
      leave()
    }
  }, [isOpen])

  const change = (text: string) => {
    fresh.current = false
    last.current = text
    setTyped(text)
  }
  const done = () => {
    count()
    last.current = counted.current = null
    setTyped(null)
    setWrong(null)
    onDone?.()
  }

  return (
    <span className="relative inline-block">
      <input
        ref={input}
        className={`field figure text-right ${className}`}
        style={{ width: `${widthCh ?? Math.max(3, shown.length + 1)}ch` }}
        aria-label={label}
        aria-invalid={wrong !== null}
        aria-describedby={wrong ? problemId : undefined}
        inputMode="decimal"
        autoComplete="off"
        value={typed ?? shown}
        onFocus={() => {
          fresh.current = true
          before.current = shown.replace(/\u202f/g, '')
          counted.current = before.current
          setTyped(before.current)
        }}
        // A press sets the caret after the focus came; the first one selects all the same.
        onMouseUp={(event) => {
          if (fresh.current) event.currentTarget.select()
          fresh.current = false
        }}
        onChange={(event) => change(event.currentTarget.value)}
        onBlur={done}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur()
          if (event.key === 'Escape' && typed !== before.current) {
            event.stopPropagation()
            change(before.current)
          }
        }}
      />
      {wrong && (
        <span
          id={problemId}
          role="alert"
          className="absolute top-full right-0 z-20 mt-1 w-60 border-l-4 border-danger bg-sheet p-2 text-left text-sm font-normal text-ink shadow-[0_0_0_1px_var(--line)]"
        >
          {problemWords(wrong)}
        </span>
      )}
    </span>
  )
}
