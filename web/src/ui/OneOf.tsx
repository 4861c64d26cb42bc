/** One of a few, all in sight. By tap or arrows. */
import { Radio, RadioGroup } from '@headlessui/react'

interface Props<T extends string> {
  readonly name: string
  readonly options: readonly (readonly [T, string])[]
  readonly value: T
  readonly onChange: (value: T) => void
}

export function OneOf<T extends string>({ name, options, value, onChange }: Props<T>) {
  return (
    <div className="mb-2 grid items-center gap-x-3 sm:grid-cols-[6.5rem_minmax(0,1fr)]">
      <span className="text-base" aria-hidden="true">
        {name}
      </span>
      <RadioGroup value={value} onChange={onChange} aria-label={name} className="flex">
        {options.map(([id, words]) => (
          <Radio
            key={id}
            value={id}
            className="press -ml-px flex min-h-9 flex-1 cursor-pointer items-center justify-center px-2 py-0 text-base first:ml-0 data-checked:bg-ink data-checked:text-sheet"
          >
            {words}
          </Radio>
        ))}
      </RadioGroup>
    </div>
  )
}
