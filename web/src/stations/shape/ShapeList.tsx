import type { ShapeMatch } from '@harina/core'
import { memo } from 'react'
import { ShapeThumb } from '../../ui/ShapeEngraving.tsx'
import { gradeWords } from '../../words/index.ts'

/** A small window with the dough's place in it: in, near or out at a glance, and in words beside it. */
function WindowGlance({ match, hydration }: { match: ShapeMatch; hydration: number }) {
  const { low, high } = match.window
  const [from, to] = [low - 4, high + 4]
  const x = (value: number) => 4 + (92 * (Math.min(to, Math.max(from, value)) - from)) / (to - from)
  return (
    <svg width="100" height="20" aria-hidden="true" className="shrink-0">
      <path d="M4 16H96" stroke="var(--second)" />
      <rect
        x={x(low)}
        y="7"
        width={x(high) - x(low)}
        height="6"
        fill="var(--family)"
        opacity={match.listed ? 1 : 0.4}
      />
      <path d={`M${x(hydration) - 5} 1h10l-5 8z`} fill="var(--ink)" />
    </svg>
  )
}

interface RowProps {
  readonly match: ShapeMatch
  readonly chosen: boolean
  readonly hydration: number
  readonly onChoose: (id: string) => void
}

const Row = memo(
  ({ match, chosen, hydration, onChoose }: RowProps) => (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        className={`flex min-h-19 w-full items-center gap-3 border-b border-line px-2 text-left ${
          chosen ? 'border-l-5 border-l-family bg-ground' : 'border-l-5 border-l-transparent hover:bg-ground'
        }`}
        onClick={() => onChoose(match.shape.id)}
      >
        <ShapeThumb shape={match.shape} width={84} height={58} />
        <span className="min-w-0 flex-1">
          <span className="flex items-center gap-2">
            <span className="head flex-1 text-lg leading-tight">{match.shape.name}</span>
            <span className="small">{match.listed ? gradeWords[match.grade] : 'untried'}</span>
          </span>
          <span className="flex items-center gap-2">
            <WindowGlance match={match} hydration={hydration} />
            <span className="small truncate">{match.shape.otherNames[0]}</span>
          </span>
        </span>
      </button>
    </li>
  ),
  (a, b) =>
    a.chosen === b.chosen &&
    a.hydration === b.hydration &&
    a.match.shape === b.match.shape &&
    a.match.window === b.match.window,
)
Row.displayName = 'Row'

export function ShapeList({
  matches,
  chosen,
  hydration,
  onChoose,
}: {
  matches: readonly ShapeMatch[]
  chosen: string
  hydration: number
  onChoose: (id: string) => void
}) {
  return (
    <ol aria-label="Shapes, best suited first">
      {matches.map((match) => (
        <Row
          key={match.shape.id}
          match={match}
          chosen={match.shape.id === chosen}
          hydration={hydration}
          onChoose={onChoose}
        />
      ))}
    </ol>
  )
}
