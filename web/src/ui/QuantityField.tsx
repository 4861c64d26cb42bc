import { CUP_ML, parseQuantity, type Problem, type Reading, type Result, type Unit, type Units } from '@harina/core'
import { useId } from 'react'
import { nameInUnits } from '../words/index.ts'
import { problemTold, useUnits } from './units.ts'
import { useTyped, type Left } from './useTyped.ts'

interface Props {
  readonly label: string
  /** Shown while nobody types. */
  readonly shown: string
  readonly unit: Unit
  readonly min: number
  readonly max: number
  /** Takes a good number. It may answer with a refusal; what was there before then stays. */
  readonly onChange: (value: number) => unknown
  /** Left as unread it puts back what stood before; without it what was shown is given once more. */
  readonly onDone?: (left: Left) => void
  readonly className?: string
  readonly widthCh?: number
  /** Given, a mass may be typed as ml, cups or spoons of it. */
  readonly densityGPerMl?: number
  /** Given, a mass may be typed as so many of these, by their names in the singular. */
  readonly each?: Readonly<Record<string, number>> | undefined
  /** Beside a scale it is figures that are typed, and a phone brings only those; words are read all the same. */
  readonly beside?: 'scale' | undefined
}

/** What a bare number means to this maker. */
const bareUnit = (unit: Unit, { mass, temperature, length }: Units): string =>
  ({ g: mass, '°C': temperature, mm: length, '%': '', min: '', count: '' })[unit]

/** What is said of what was typed, where it cannot count. */
const toldOf = (wrong: Problem | null, unread: string | null, shown: string): string | null =>
  wrong ? problemTold(wrong) : unread !== null ? `“${unread}” was not read: ${shown} stands.` : null

/** What is said stands under the right end of the field; where what holds it would cut it off on the left, further in. */
function keepInSight(box: HTMLElement | null): void {
  if (!box) return
  let around = box.parentElement
  while (around && !/auto|scroll|hidden|clip/.test(getComputedStyle(around).overflow)) around = around.parentElement
  const past = (around?.getBoundingClientRect().left ?? 0) + 4 - box.getBoundingClientRect().left
  if (past > 0) box.style.translate = `${past}px`
}

/** A figure one can type over, in any unit that it can be said in. */
export function QuantityField(props: Props) {
  const { label, shown, unit, min, max, onChange, onDone, className = '', widthCh, densityGPerMl, each, beside } = props
  const { units } = useUnits()
  const problemId = useId()
  const read = (text: string, from?: number): Result<number> => {
    const reading: Reading = {
      bare: bareUnit(unit, units),
      filled: densityGPerMl === undefined ? undefined : { gPerMl: densityGPerMl, cupMl: CUP_ML[units.cup] },
      each,
      from,
    }
    return parseQuantity(text, unit, { min, max }, reading)
  }
  const { field, wrong, unread } = useTyped({ shown, read, onChange, onDone })
  const said = toldOf(wrong, unread, shown)
  return (
    <span className="relative inline-block">
      <input
        className={`field figure text-right ${className}`}
        style={{ width: `${widthCh ?? Math.max(3, shown.length + 1)}ch` }}
        aria-label={nameInUnits(label, unit, units)}
        aria-invalid={wrong !== null}
        aria-describedby={said === null ? undefined : problemId}
        // Where cups and eggs can be written, a phone brings letters too.
        inputMode={beside === 'scale' || (densityGPerMl === undefined && !each) ? 'decimal' : 'text'}
        autoComplete="off"
        {...field}
      />
      {said !== null && (
        <span
          ref={keepInSight}
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
