import type { Shape } from '@harina/core'
import type { Engraving, Point } from '@harina/core/engraving'
import { useEffect, useState } from 'react'
import { engravingOf } from '../workers/engraving.ts'

const path = (line: readonly Point[]): string => `M${line.map(([x, y]) => `${x} ${y}`).join('L')}`

function useEngraving(shape: Shape): Engraving | null {
  const [engraving, setEngraving] = useState<Engraving | null>(null)
  useEffect(() => {
    let wanted = true
    engravingOf(shape).then(
      (made) => wanted && setEngraving(made),
      () => wanted && setEngraving(null),
    )
    return () => {
      wanted = false
    }
  }, [shape])
  return engraving
}

interface Props {
  readonly shape: Shape
  readonly width: number
  readonly height: number
  /** Pixels a millimetre; without it the piece fills the frame. */
  readonly pxPerMm?: number
  readonly withScale?: boolean
}

/** The finished piece as an engraving. With a scale beside it, it says so and shows ten millimetres. */
export function ShapeEngraving({ shape, width, height, pxPerMm, withScale = false }: Props) {
  const engraving = useEngraving(shape)
  const room = withScale ? 26 : 0
  const fit = engraving ? Math.min(width / engraving.widthMm, (height - room) / engraving.heightMm) : 1
  const scale = pxPerMm === undefined ? fit : Math.min(fit, pxPerMm)
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`${shape.name}, the finished piece${withScale ? ', drawn to scale' : ''}`}
      className="block max-w-full"
    >
      {engraving && (
        <g
          transform={`translate(${(width - engraving.widthMm * scale) / 2} ${(height - room - engraving.heightMm * scale) / 2}) scale(${scale})`}
          fill="none"
          stroke="var(--ink)"
          strokeLinejoin="round"
          strokeLinecap="round"
        >
          <path d={engraving.lines.map(path).join('')} strokeWidth="0.9" vectorEffect="non-scaling-stroke" />
          <path
            d={engraving.outline.map(path).join('')}
            strokeWidth={width < 140 ? 1.5 : 2.2}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      )}
      {engraving && withScale && (
        <g>
          <path d={`M8 ${height - 12}v6m0 -3h${10 * scale}m0 -3v6`} stroke="var(--ink)" fill="none" />
          <text x={8 + 10 * scale + 8} y={height - 4} className="figure fill-second text-[15px]">
            10 mm
          </text>
        </g>
      )}
    </svg>
  )
}
