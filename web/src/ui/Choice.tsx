/** One of a list: what is chosen stands where it is read, the others open below it. By tap, arrows or first letters. */
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react'

interface Props<T extends string> {
  readonly label: string
  /** Empty where nothing is chosen. */
  readonly value: T | ''
  readonly options: readonly (readonly [T, string])[]
  /** Given, nothing can be chosen too, and is called so. */
  readonly none?: string | undefined
  readonly onChange: (chosen: T | '') => void
  readonly className?: string
}

export function Choice<T extends string>({ label, value, options, none, onChange, className = '' }: Props<T>) {
  const all: readonly (readonly [T | '', string])[] = none === undefined ? options : [['', none], ...options]
  return (
    <Listbox value={value} onChange={onChange}>
      <ListboxButton
        // Named by its label and read with what is chosen, as a select is; a button would be read as one of the two.
        role="combobox"
        aria-label={label}
        className={`choice inline-flex max-w-full min-w-0 cursor-pointer items-center gap-1.5 text-left ${className}`}
      >
        <span className="min-w-0 truncate">{all.find(([id]) => id === value)?.[1] ?? '…'}</span>
        <span aria-hidden="true" className="ml-auto shrink-0 text-sm text-second" data-screen-only>
          ▾
        </span>
      </ListboxButton>
      <ListboxOptions
        anchor={{ to: 'bottom start', gap: 2, padding: 8 }}
        modal={false}
        className="z-50 min-w-(--button-width) border-2 border-ink bg-sheet font-text text-base text-ink outline-none"
      >
        {all.map(([id, name]) => (
          <ListboxOption
            key={id}
            value={id}
            data-value={id}
            className="flex min-h-11 cursor-pointer items-center border-l-5 border-transparent px-3 py-1 data-focus:bg-ground data-selected:border-ink data-selected:font-semibold"
          >
            {name}
          </ListboxOption>
        ))}
      </ListboxOptions>
    </Listbox>
  )
}
