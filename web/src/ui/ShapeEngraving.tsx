import { MM_PER_INCH, type Shape } from '@harina/core'
import { useEffect, useRef, useState } from 'react'
import { useUnits } from './units.ts'
import { useDrawn } from './useDrawn.ts'
import { engravingOf, imageOf, pathOf } from '../workers/engraving.ts'

interface Props {
  readonly shape: Shape
  readonly width: number
  readonly height: number
  /** Pixels a millimetre; without it the piece fills the frame. */
  readonly pxPerMm?: number
  readonly withScale?: boolean
}

/** The finished piece as an engraving. With a scale beside it, it says so and shows ten millimetres or half an inch. */
export function ShapeEngraving({ shape, width, height, pxPerMm, withScale = false }: Props) {
  const engraving = useDrawn(shape, engravingOf)
  const room = withScale ? 26 : 0
  const fit = engraving ? Math.min(width / engraving.widthMm, (height - room) / engraving.heightMm) : 1
  const scale = pxPerMm === undefined ? fit : Math.min(fit, pxPerMm)
  const { units } = useUnits()
  const [barMm, barWords] = units.length === 'mm' ? [10, '10 mm'] : [MM_PER_INCH / 2, '½ in']
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
          <path d={pathOf(engraving.lines)} strokeWidth="0.9" vectorEffect="non-scaling-stroke" />
          <path d={pathOf(engraving.outline)} strokeWidth={width < 140 ? 1.5 : 2.2} vectorEffect="non-scaling-stroke" />
        </g>
      )}
      {engraving && withScale && (
        <g>
          <path d={`M8 ${height - 12}v6m0 -3h${barMm * scale}m0 -3v6`} stroke="var(--ink)" fill="none" />
          <text x={8 + barMm * scale + 8} y={height - 4} className="figure fill-second text-label">
            {barWords}
          </text>
        </g>
      )}
    </svg>
  )
}

/** Whether a node has come near the window once. */
function useComing() {
  const ref = useRef<HTMLSpanElement>(null)
  const [coming, setComing] = useState(typeof IntersectionObserver === 'undefined')
  useEffect(() => {
    const node = ref.current
    if (!node || coming) return
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) setComing(true)
      },
      { rootMargin: '200px' },
    )
    watch.observe(node)
    return () => watch.disconnect()
  }, [coming])
  return { ref, coming }
}

/** For lists: drawn once it comes into sight, as one picture. The name stands beside it, so it says nothing itself. */
export function ShapeThumb({ shape, width, height }: { shape: Shape; width: number; height: number }) {
  const { ref, coming } = useComing()
  const engraving = useDrawn(shape, engravingOf, coming)
  return (
    <span
      ref={ref}
      aria-hidden="true"
      data-drawn={engraving !== null}
      className="block shrink-0 bg-ink"
      style={{
        width,
        height,
        mask: engraving
          ? `${imageOf(engraving)} center / contain no-repeat`
          : 'linear-gradient(transparent, transparent)',
      }}
    />
  )
}
