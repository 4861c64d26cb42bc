/** One of a list: what is chosen stands where it is read, the others open below it. By tap, arrows or first letters. */
import { ChoiceFace, choiceClass } from './controls/ChoiceFace.tsx'
import { useControls } from './controls/controls.ts'

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

const OPENS = new Set(['ArrowDown', 'ArrowUp'])

export function Choice<T extends string>({ label, value, options, none, onChange, className = '' }: Props<T>) {
  const { controls, touched, atRest, ask } = useControls()
  const all: readonly (readonly [T | '', string])[] = none === undefined ? options : [['', none], ...options]
  const shown = all.find(([id]) => id === value)?.[1] ?? '…'
  if (controls) return <controls.ChoiceList {...{ label, value, all, shown, onChange, className, touched }} />
  return (
    <button
      type="button"
      role="combobox"
      aria-label={label}
      aria-haspopup="listbox"
      aria-expanded="false"
      data-at-rest
      className={choiceClass(className)}
      onClick={ask}
      onKeyDown={({ key }) => OPENS.has(key) && ask()}
      {...atRest}
    >
      <ChoiceFace>{shown}</ChoiceFace>
    </button>
  )
}
