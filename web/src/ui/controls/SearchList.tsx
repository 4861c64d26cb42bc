import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react'
import type { ChangeEvent, RefObject } from 'react'
import { useArrival, type Touched } from './arrival.ts'

interface Named {
  readonly id: string
  readonly name: string
}

/** What the field is, at rest and in the package alike. */
interface SearchField {
  readonly className: string
  readonly 'aria-label': string
  readonly placeholder: string
  readonly autoComplete: string
  readonly value: string
  readonly onChange: (event: ChangeEvent<HTMLInputElement>) => void
  readonly onBlur: () => void
}

interface Props<T extends Named> {
  readonly field: SearchField
  readonly at: RefObject<HTMLInputElement | null>
  readonly found: readonly T[]
  readonly onTake: (taken: T) => void
  readonly touched: Touched
}

export function SearchList<T extends Named>({ field, at, found, onTake, touched }: Props<T>) {
  useArrival(touched, at)
  return (
    <Combobox<T | null> value={null} onChange={(taken) => taken && onTake(taken)} immediate={false}>
      <ComboboxInput {...field} ref={at} />
      <ComboboxOptions
        anchor="bottom start"
        className="z-40 max-h-72 w-80 overflow-y-auto border-2 border-ink bg-sheet [--anchor-gap:4px] empty:hidden"
      >
        {found.map((each) => (
          <ComboboxOption
            key={each.id}
            value={each}
            className="cursor-pointer px-3 py-2 data-focus:bg-ink data-focus:text-sheet"
          >
            {each.name}
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  )
}
