/** One rope along the board with all its cuts, to scale. */
import { useId } from 'react'
import { HatchPattern, type Family } from './family.tsx'
import { useUnits } from './units.ts'
import { useWidth } from './useWidth.ts'
import { counted } from '#web/words/index.ts'

interface Props {
  readonly boardMm: number
  readonly diameterMm: number
  readonly cutMm: number
  readonly pieces: number
  readonly family: Family
}

export function RopeOnBoard({ boardMm, diameterMm, cutMm, pieces, family }: Props) {
  const [measure, width] = useWidth(760)
  const { length } = useUnits()
  const hatch = useId()
  const scale = (width - 4) / boardMm
  const thick = Math.max(3, diameterMm * scale)
  const boardHeight = thick + 44
  const ropeY = 2 + (boardHeight - thick) / 2
  const cuts = Array.from({ length: Math.max(0, pieces) }, (_, index) => 2 + (index + 1) * cutMm * scale)
  return (
    <div ref={measure} className="min-w-0 overflow-hidden">
      <svg
        width={width}
        height={boardHeight + 30}
        className="block max-w-full"
        role="img"
        aria-label={`A board of ${length(boardMm)} with a rope cut into ${counted(pieces, 'piece')}, to scale`}
      >
        <HatchPattern id={hatch} family={family} />
        <rect
          x="2"
          y="2"
          width={boardMm * scale}
          height={boardHeight}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        <rect x="2" y={ropeY} width={boardMm * scale} height={thick} fill={`url(#${hatch})`} stroke="var(--ink)" />
        <path d={cuts.map((x) => `M${x} ${ropeY - 6}v${thick + 12}`).join('')} stroke="var(--ink)" strokeWidth="1" />
        <text x="2" y={boardHeight + 24} className="fill-second text-label">
          one board of {length(boardMm)}, {counted(pieces, 'piece')}, to scale
        </text>
      </svg>
    </div>
  )
}
