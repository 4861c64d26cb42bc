/** One of a few with its name beside it. */
import { boxed, Segments } from './Segments.tsx'

interface Props<T extends string> {
  readonly name: string
  readonly options: readonly (readonly [T, string])[]
  readonly value: T
  readonly onChange: (value: T) => void
}

export function OneOf<T extends string>({ name, ...group }: Props<T>) {
  return (
    <div className="mb-2 grid items-center gap-x-3 sm:grid-cols-[6.5rem_minmax(0,1fr)]">
      <span className="text-base" aria-hidden="true">
        {name}
      </span>
      <Segments label={name} each={`${boxed} min-h-9 py-0 text-base`} {...group} />
    </div>
  )
}
