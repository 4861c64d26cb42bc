import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react'
import { useRef } from 'react'
import { ChoiceFace, choiceClass } from './ChoiceFace.tsx'
import { useArrival, type Touched } from './arrival.ts'

interface Props<T extends string> {
  readonly label: string
  readonly value: T | ''
  readonly all: readonly (readonly [T | '', string])[]
  readonly shown: string
  readonly onChange: (chosen: T | '') => void
  readonly className: string
  readonly touched: Touched
}

export function ChoiceList<T extends string>({ label, value, all, shown, onChange, className, touched }: Props<T>) {
  const button = useRef<HTMLButtonElement>(null)
  useArrival(touched, button)
  return (
    <Listbox value={value} onChange={onChange}>
      <ListboxButton
        ref={button}
        // Named by its label and read with what is chosen, as a select is; a button would be read as one of the two.
        role="combobox"
        aria-label={label}
        className={choiceClass(className)}
      >
        <ChoiceFace>{shown}</ChoiceFace>
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
