/** A rope seen from the side with its cuts, and its round end: to scale with itself. */
import { useId } from 'react'
import { HatchPattern, type Family } from './family.tsx'
import { useUnits } from './units.ts'

interface Props {
  readonly diameterMm: number
  readonly cutMm: number
  readonly family: Family
  /** Room for the drawing, px. */
  readonly width?: number
}

export function RopeAndCut({ diameterMm, cutMm, family, width = 236 }: Props) {
  const hatch = useId()
  const { length } = useUnits()
  const pieces = Math.max(1, Math.min(4, Math.floor(80 / cutMm) || 1))
  const scale = Math.min(3.2, (width - 60) / (pieces * cutMm + diameterMm * 1.5))
  const d = diameterMm * scale
  const cut = cutMm * scale
  const long = pieces * cut
  const endX = 2 + long + 18 + d / 2
  return (
    <svg
      width={width}
      height={d + 44}
      className="max-w-full"
      role="img"
      aria-label={`Rope ${length(diameterMm)} thick, cut every ${length(cutMm)}; to scale`}
    >
      <HatchPattern id={hatch} family={family} />
      <rect x="2" y="6" width={long} height={d} fill={`url(#${hatch})`} stroke="var(--ink)" strokeWidth="1.5" />
      {Array.from({ length: pieces - 1 }, (_, i) => (
        <path key={i} d={`M${2 + (i + 1) * cut} 1v${d + 10}`} stroke="var(--ink)" strokeWidth="1.5" />
      ))}
      <circle cx={endX} cy={6 + d / 2} r={d / 2} fill={`url(#${hatch})`} stroke="var(--ink)" strokeWidth="1.5" />
      <path d={`M2 ${d + 18}v6m0 -3H${2 + cut}m0 -3v6`} stroke="var(--ink)" fill="none" />
      <text
        x={2 + cut / 2}
        y={d + 40}
        textAnchor={cut < 44 ? 'start' : 'middle'}
        dx={cut < 44 ? -cut / 2 : 0}
        className="figure fill-ink text-label"
      >
        {length(cutMm)}
      </text>
      <text x={endX} y={d + 40} textAnchor="middle" className="figure fill-ink text-label">
        ⌀ {length(diameterMm)}
      </text>
    </svg>
  )
}
