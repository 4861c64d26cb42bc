/** One of a few, side by side, all in sight; by tap or arrows. */
import { Radio, RadioGroup } from '@headlessui/react'

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
  const { label, options, value, onChange, className = '', each = `${boxed} min-h-11` } = props
  return (
    <RadioGroup value={value} onChange={onChange} aria-label={label} className={`flex ${className}`}>
      {options.map(([id, words]) => (
        <Radio key={id} value={id} className={`flex cursor-pointer text-center ${each}`}>
          {words}
        </Radio>
      ))}
    </RadioGroup>
  )
}
