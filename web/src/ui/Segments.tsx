/** One of a few, side by side, all in sight; by tap or arrows. */
import { useControls } from './controls/controls.ts'

interface Props<T extends string | number> {
  readonly label: string
  readonly options: readonly (readonly [T, string])[]
  readonly value: T
  readonly onChange: (value: T) => void
  /** Of the row, and of each in it. */
  readonly className?: string
  readonly each?: string
}

/** Boxes that touch; where room is short they are lower. */
export const boxed =
  'press -ml-px flex-1 items-center justify-center px-2 first:ml-0 data-checked:bg-ink data-checked:text-sheet'

export function Segments<T extends string | number>(props: Props<T>) {
  const { label, options, value, onChange } = props
  const { controls, touched, atRest } = useControls()
  const className = `flex ${props.className ?? ''}`
  const each = `flex cursor-pointer text-center ${props.each ?? `${boxed} min-h-11`}`
  if (controls) return <controls.RadioRow {...{ label, options, value, onChange, className, each, touched }} />
  const chosen = options.findIndex(([id]) => id === value)
  return (
    <div role="radiogroup" aria-label={label} className={className} data-at-rest>
      {options.map(([id, words], n) => (
        <span
          key={id}
          role="radio"
          aria-checked={n === chosen}
          tabIndex={n === Math.max(0, chosen) ? 0 : -1}
          className={each}
          {...(n === chosen ? { 'data-checked': '' } : {})}
          onClick={() => onChange(id)}
          {...atRest}
        >
          {words}
        </span>
      ))}
    </div>
  )
}
