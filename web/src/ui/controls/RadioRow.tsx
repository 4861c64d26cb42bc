import { Radio, RadioGroup } from '@headlessui/react'
import { useRef } from 'react'
import { useArrival, type Touched } from './arrival.ts'

interface Props<T extends string | number> {
  readonly label: string
  readonly options: readonly (readonly [T, string])[]
  readonly value: T
  readonly onChange: (value: T) => void
  readonly className: string
  readonly each: string
  readonly touched: Touched
}

export function RadioRow<T extends string | number>(props: Props<T>) {
  const { label, options, value, onChange, className, each, touched } = props
  const group = useRef<HTMLDivElement>(null)
  useArrival(touched, group)
  return (
    <RadioGroup ref={group} value={value} onChange={onChange} aria-label={label} className={className}>
      {options.map(([id, words]) => (
        <Radio key={id} value={id} className={each}>
          {words}
        </Radio>
      ))}
    </RadioGroup>
  )
}
