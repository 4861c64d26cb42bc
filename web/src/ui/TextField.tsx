/** Words of a maker's own, typed in place. What is typed stays as it is typed, caret and all, until the field is left. */
import { plainTextFrom } from '@harina/core'
import { useState } from 'react'

interface Props {
  readonly label: string
  readonly value: string
  readonly max: number
  /** Every keystroke that leaves something to keep. */
  readonly onChange: (text: string) => void
  readonly onDone?: () => void
  /** A name cannot be nothing: emptied and left, it is what it was. */
  readonly required?: boolean
  readonly placeholder?: string
  readonly className?: string
  readonly style?: React.CSSProperties
  /** Rows of a note; a name has none. */
  readonly rows?: number
}

export function TextField(props: Props) {
  const { label, value, max, onChange, onDone, required = false, placeholder, className = '', style, rows } = props
  const [typed, setTyped] = useState<string | null>(null)
  const shared = {
    className: `field ${className}`,
    style,
    'aria-label': label,
    placeholder,
    value: typed ?? value,
    maxLength: max,
    onChange: ({ target }: React.ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      setTyped(target.value)
      const kept = plainTextFrom(target.value, max)
      if (kept.trim() !== '' || !required) onChange(kept)
    },
    onBlur: () => {
      setTyped(null)
      onDone?.()
    },
  }
  return rows === undefined ? <input {...shared} /> : <textarea {...shared} rows={rows} />
}
