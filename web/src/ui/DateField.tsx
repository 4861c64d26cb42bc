import { useId, useRef, useState } from 'react'

interface Props {
  readonly label: string
  /** yyyy-MM-dd, or nothing. */
  readonly value: string
  readonly max: string
  readonly className?: string
  /** A whole day between the year 2000 and `max`, or '' once it has been emptied and left. */
  readonly onChange: (day: string) => void
}

/** Sacks are not older; and the year 0002 is 2026 half typed. */
const MIN = '2000-01-01'

/** A day. What is half typed stays in the field: it would be another day, or none. */
export function DateField({ label, value, max, className = '', onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null)
  const [refused, setRefused] = useState(false)
  const note = useId()
  const stood = useRef(value)
  return (
    <>
      <input
        type="date"
        aria-label={label}
        aria-invalid={refused}
        aria-describedby={refused ? note : undefined}
        className={`field ${className}`}
        value={typed ?? value}
        min={MIN}
        max={max}
        onFocus={() => (stood.current = value)}
        onChange={({ target }) => {
          setTyped(target.value)
          setRefused(false)
          if (target.value >= MIN && target.value <= max) onChange(target.value)
        }}
        onBlur={({ target }) => {
          const { valid, badInput } = target.validity
          setTyped(null)
          setRefused(!valid)
          // On the way to what is refused it may have been another day.
          if (!valid && stood.current !== value) onChange(stood.current)
          if (valid && target.value === '' && value !== '') onChange('')
          // Half a day stands nowhere but in the field itself.
          if (badInput) target.value = stood.current
        }}
      />
      {refused && (
        <span id={note} role="status" className="text-danger">
          a day from 2000 to today; it stays as it was
        </span>
      )}
    </>
  )
}
