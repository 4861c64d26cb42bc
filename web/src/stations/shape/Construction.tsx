/** From the blank to the piece, flat and to scale: what it is cut from, what is done to it, and its section. */
import { motionOf, skinMm, type Blank, type Family, type Shape } from '@harina/core'
import { BlankDrawing } from '../../ui/BlankDrawing.tsx'
import { useDrawn } from '../../ui/useDrawn.ts'
import { useUnits } from '../../ui/units.ts'
import { crossSectionOf, pathOf } from '../../workers/engraving.ts'
import { MotionArrow } from './MotionArrow.tsx'
import { drawnWords, motionWords } from '../../words/index.ts'

const [WIDE, HIGH] = [132, 96]

/** Round lengths for the scale beside a drawing, mm. */
const scaleMm = (shownMm: number): number => [50, 20, 10, 5, 2, 1].find((length) => length < shownMm * 0.7) ?? 1

function Section({ shape }: { shape: Shape }) {
  const { length } = useUnits()
  const section = useDrawn(shape, crossSectionOf)
  if (!section) return <div style={{ width: WIDE, height: HIGH }} />
  const scale = Math.min(14, WIDE / section.widthMm, (HIGH - 24) / section.heightMm)
  const bar = scaleMm(WIDE / scale)
  return (
    <svg
      width={WIDE}
      height={HIGH}
      role="img"
      aria-label={`${shape.name} cut across, to scale; its dough is ${length(shape.wallMm)} thick`}
    >
      <g transform={`translate(${(WIDE - section.widthMm * scale) / 2} 2) scale(${scale})`}>
        <path
          d={pathOf(section.outline)}
          fill="var(--family)"
          fillOpacity="0.3"
          fillRule="evenodd"
          stroke="var(--ink)"
          strokeWidth="1.6"
          vectorEffect="non-scaling-stroke"
        />
      </g>
      <path d={`M2 ${HIGH - 10}v6m0 -3h${bar * scale}m0 -3v6`} stroke="var(--ink)" fill="none" />
      <text x={bar * scale + 9} y={HIGH - 2} className="figure fill-second text-sm">
        {length(bar)}
      </text>
    </svg>
  )
}

/** `blank`: as it is made. */
export function Construction({ shape, blank, family }: { shape: Shape; blank: Blank; family: Family }) {
  const units = useUnits()
  const motion = motionOf(shape)
  const skin = skinMm(blank, shape.wallMm)
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
      <div>
        <BlankDrawing blank={blank} family={family} width={236} />
        <p className="small leading-snug">{drawnWords(blank, units)}</p>
      </div>
      <figure className="flex flex-col items-center pb-1">
        <MotionArrow motion={motion} />
        <figcaption className="small text-center">{motionWords[motion]}</figcaption>
      </figure>
      <figure>
        <Section shape={shape} />
        <figcaption className="figure text-label">
          {shape.fillingG
            ? `cut across, filled: a skin of ${units.length(skin)}`
            : `cut across: ${units.length(shape.wallMm)} of dough`}
        </figcaption>
      </figure>
    </div>
  )
}
