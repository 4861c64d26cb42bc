/** The dough drawn as a column of where its mass comes from, to scale. */
import { formatGrams, type Worked } from '@harina/core'
import { useId } from 'react'
import { HatchPattern } from '../../ui/family.tsx'
import { spreadLabels } from '../../ui/spreadLabels.ts'

interface Part {
  readonly name: string
  readonly grams: number
  readonly fill: string
}

const HEIGHT = 232
const WIDTH = 58
const LABEL_ROOM = 34

function partsOf({ rows }: Worked, hatch: string): readonly Part[] {
  const flours = rows.filter((row) => row.part === 'flour')
  const flourWaterG = flours.reduce((sum, row) => sum + row.weighedG * row.water, 0)
  const flourG = flours.reduce((sum, row) => sum + row.weighedG, 0)
  const sum = (part: string) => rows.reduce((total, row) => total + (row.part === part ? row.weighedG : 0), 0)
  const parts: Part[] = [
    { name: 'dry flour', grams: flourG - flourWaterG, fill: `url(#${hatch})` },
    { name: 'water the flour brought', grams: flourWaterG, fill: `url(#${hatch}-water)` },
    { name: 'water you pour', grams: sum('water'), fill: 'var(--water)' },
    { name: 'salt', grams: sum('salt'), fill: 'var(--ink)' },
    { name: 'other', grams: sum('other'), fill: 'var(--second)' },
  ]
  return parts.filter((part) => part.grams > 0)
}

/** Parts one on another, each as high as its share of the mass. */
function stacked(parts: readonly Part[], height: number) {
  const totalG = parts.reduce((sum, part) => sum + part.grams, 0)
  return parts.map((part, index) => {
    const aboveG = parts.slice(0, index).reduce((sum, other) => sum + other.grams, 0)
    const [top, high] = [(aboveG / totalG) * height, (part.grams / totalG) * height]
    return { ...part, top, height: high, middle: top + high / 2 }
  })
}

export function DoughColumn({ worked, scaleStepG }: { worked: Worked; scaleStepG: number }) {
  const hatch = useId()
  const parts = partsOf(worked, hatch)
  const totalG = parts.reduce((sum, part) => sum + part.grams, 0)
  const drawn = stacked(parts, HEIGHT)
  const places = spreadLabels(
    drawn.map((part) => part.middle),
    LABEL_ROOM,
    HEIGHT + 14 - LABEL_ROOM / 2,
  )
  return (
    <figure>
      <figcaption className="small mb-1">
        Where <span className="figure">{formatGrams(totalG, scaleStepG)}</span> g comes from
      </figcaption>
      <svg width="250" height={HEIGHT + 14} className="max-w-full" aria-hidden="true">
        <HatchPattern id={hatch} family={worked.dough.family} />
        <pattern id={`${hatch}-water`} width="8" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 3H8" stroke="var(--water)" strokeWidth="1.5" />
        </pattern>
        {drawn.map((part, index) => (
          <g key={part.name}>
            <rect
              x="1"
              y={part.top + 1}
              width={WIDTH}
              height={Math.max(1.5, part.height)}
              fill={part.fill}
              stroke="var(--ink)"
            />
            <path
              d={`M${WIDTH + 1} ${part.middle + 1}L${WIDTH + 14} ${places[index]! + 1}H${WIDTH + 20}`}
              stroke="var(--second)"
              fill="none"
            />
            <text x={WIDTH + 25} y={places[index]! + 1} className="figure fill-ink text-[18px] font-semibold">
              {formatGrams(part.grams, scaleStepG)} g
            </text>
            <text x={WIDTH + 25} y={places[index]! + 15} className="fill-second text-[14px]">
              {part.name}
            </text>
          </g>
        ))}
      </svg>
      <ul className="sr-only">
        {parts.map((part) => (
          <li key={part.name}>
            {part.name}: {formatGrams(part.grams, scaleStepG)} g
          </li>
        ))}
      </ul>
    </figure>
  )
}
