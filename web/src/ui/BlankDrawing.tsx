/** What a piece is cut from, drawn to scale with itself: rope, sheet, round, die or drop. */
import type { Blank } from '@harina/core'
import { useId, type ReactNode } from 'react'
import { DieFace } from './DieFace.tsx'
import { HatchPattern, type Family } from './family.tsx'
import { RopeAndCut } from './RopeAndCut.tsx'
import { useUnits } from './units.ts'
import { blankWords } from '../words/index.ts'

interface Props {
  readonly blank: Blank
  readonly family: Family
  /** Room for the drawing, px. */
  readonly width?: number
}

interface Sized {
  readonly wide: number
  readonly high: number
  readonly draw: (scale: number, fill: string) => ReactNode
}

const line = { stroke: 'var(--ink)', strokeWidth: 1.5 } as const

/** The outline of a blank in mm, and how to draw it at a scale. */
function sized(blank: Exclude<Blank, { type: 'rope' }>): Sized {
  switch (blank.type) {
    case 'sheet': {
      // A stretch of the sheet with its cuts across, and the strand's own section beside it.
      const strands = Math.max(2, Math.min(9, Math.floor(60 / blank.widthMm)))
      const wide = blank.widthMm * strands
      const high = Math.min(blank.lengthMm, wide * 0.6)
      return {
        wide: wide * 1.25,
        high,
        draw: (scale, fill) => (
          <>
            <rect x="0" y="0" width={wide * scale} height={high * scale} fill={fill} {...line} />
            {Array.from({ length: strands - 1 }, (_, i) => (
              <path key={i} d={`M${(i + 1) * blank.widthMm * scale} -4V${high * scale + 4}`} {...line} />
            ))}
            <rect
              x={wide * scale * 1.08}
              y={high * scale - Math.max(2, blank.thicknessMm * scale)}
              width={blank.widthMm * scale}
              height={Math.max(2, blank.thicknessMm * scale)}
              fill={fill}
              {...line}
            />
          </>
        ),
      }
    }
    case 'disc': {
      const d = blank.diameterMm
      return {
        wide: d * 2.2,
        high: d,
        draw: (scale, fill) => (
          <>
            <circle cx={(d / 2) * scale} cy={(d / 2) * scale} r={(d / 2) * scale} fill={fill} {...line} />
            <rect
              x={d * 1.15 * scale}
              y={d * scale - Math.max(2, blank.thicknessMm * scale)}
              width={d * scale}
              height={Math.max(2, blank.thicknessMm * scale)}
              fill={fill}
              {...line}
            />
          </>
        ),
      }
    }
    case 'die': {
      const { outerMm, innerMm, cutMm } = blank
      const long = Math.min(cutMm, outerMm * 5)
      return {
        wide: outerMm * 1.4 + long,
        high: outerMm,
        draw: (scale, fill) => (
          <>
            <DieFace section={blank.section} outer={outerMm * scale} inner={innerMm * scale} fill={fill} />
            <rect x={outerMm * 1.4 * scale} y="0" width={long * scale} height={outerMm * scale} fill={fill} {...line} />
          </>
        ),
      }
    }
    case 'drop':
      return {
        wide: blank.holeMm * 1.5 + blank.lengthMm,
        high: blank.holeMm,
        draw: (scale, fill) => (
          <>
            <circle
              cx={(blank.holeMm / 2) * scale}
              cy={(blank.holeMm / 2) * scale}
              r={(blank.holeMm / 2) * scale}
              fill={fill}
              {...line}
            />
            <rect
              x={blank.holeMm * 1.5 * scale}
              y="0"
              width={blank.lengthMm * scale}
              height={blank.holeMm * scale}
              rx={(blank.holeMm / 2) * scale}
              fill={fill}
              {...line}
            />
          </>
        ),
      }
  }
}

const MAX_HEIGHT = 62

export function BlankDrawing({ blank, family, width = 236 }: Props) {
  const hatch = useId()
  const units = useUnits()
  if (blank.type === 'rope')
    return <RopeAndCut diameterMm={blank.diameterMm} cutMm={blank.cutMm} family={family} width={width} />
  const { wide, high, draw } = sized(blank)
  const scale = Math.min(4, (width - 8) / wide, MAX_HEIGHT / high)
  const words = blankWords(blank, units)
  return (
    <figure>
      <svg width={width} height={high * scale + 14} className="max-w-full" role="img" aria-label={`${words}; to scale`}>
        <HatchPattern id={hatch} family={family} />
        <g transform="translate(3 7)">{draw(scale, `url(#${hatch})`)}</g>
      </svg>
      <figcaption className="figure text-label">{words}</figcaption>
    </figure>
  )
}
