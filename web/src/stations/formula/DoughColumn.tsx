/** The dough drawn as a column of where its mass comes from, to scale. */
import { columnOf, type ColumnCode, type Worked } from '@harina/core'
import { useId } from 'react'
import { HatchPattern } from '../../ui/family.tsx'
import { spreadLabels } from '../../ui/spreadLabels.ts'
import { useUnits } from '../../ui/units.ts'
import { liquidOf } from '../../words/index.ts'

const HEIGHT = 218
const WIDTH = 58
const LABEL_ROOM = 34

const fillOf = (code: ColumnCode, hatch: string): string =>
  ({
    'dry-flour': `url(#${hatch})`,
    'flour-water': `url(#${hatch}-water)`,
    'base-dry': `url(#${hatch}-dots)`,
    'base-water': `url(#${hatch}-water)`,
    poured: 'var(--water)',
    salt: 'var(--ink)',
    alkali: 'var(--alkaline)',
    egg: 'var(--gnocchi)',
    puree: 'var(--batter)',
    fat: 'var(--line)',
    other: 'var(--second)',
  })[code]

function nameOf(code: ColumnCode, worked: Worked): string {
  const { control } = worked
  const base = control.by === 'base' ? control.base : ''
  return {
    'dry-flour': 'dry flour',
    'flour-water': 'water the flour brought',
    'base-dry': `${base}, dry`,
    'base-water': `water in the ${base.split(' ').at(-1)}`,
    poured: `${liquidOf(worked)} you pour`,
    salt: 'salt',
    alkali: 'alkali',
    egg: 'egg',
    puree: 'purée and juice',
    fat: 'oil and fat',
    other: 'other',
  }[code]
}

/** Parts one on another, each as high as its share of the mass. */
function stacked(parts: ReturnType<typeof columnOf>, height: number) {
  const totalG = parts.reduce((sum, part) => sum + part.grams, 0)
  return parts.map((part, index) => {
    const aboveG = parts.slice(0, index).reduce((sum, other) => sum + other.grams, 0)
    const [top, high] = [(aboveG / totalG) * height, (part.grams / totalG) * height]
    return { ...part, top, height: high, middle: top + high / 2 }
  })
}

export function DoughColumn({ worked, scaleStepG }: { worked: Worked; scaleStepG: number }) {
  const hatch = useId()
  const { mass } = useUnits()
  const parts = columnOf(worked.rows)
  const totalG = parts.reduce((sum, part) => sum + part.grams, 0)
  const drawn = stacked(parts, HEIGHT)
  const places = spreadLabels(
    drawn.map((part) => part.middle),
    LABEL_ROOM,
    HEIGHT + 14 - LABEL_ROOM / 2,
  )
  return (
    <figure>
      <h2 className="sr-only">What it is made of</h2>
      <figcaption className="small mb-1">
        Where <span className="figure">{mass(totalG, scaleStepG)}</span> comes from
      </figcaption>
      <svg width="250" height={HEIGHT + 14} className="max-w-full" aria-hidden="true">
        <HatchPattern id={hatch} family={worked.dough.family} />
        <pattern id={`${hatch}-water`} width="8" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 3H8" stroke="var(--water)" strokeWidth="1.5" />
        </pattern>
        <pattern id={`${hatch}-dots`} width="7" height="7" patternUnits="userSpaceOnUse">
          <circle cx="2" cy="2" r="1.3" fill="var(--family)" />
        </pattern>
        {drawn.map((part, index) => (
          <g key={part.code}>
            <rect
              x="1"
              y={part.top + 1}
              width={WIDTH}
              height={Math.max(1.5, part.height)}
              fill={fillOf(part.code, hatch)}
              stroke="var(--ink)"
            />
            <path
              d={`M${WIDTH + 1} ${part.middle + 1}L${WIDTH + 14} ${places[index]! + 1}H${WIDTH + 20}`}
              stroke="var(--second)"
              fill="none"
            />
            <text x={WIDTH + 25} y={places[index]! + 1} className="figure fill-ink text-lg font-semibold">
              {mass(part.grams, scaleStepG)}
            </text>
            <text x={WIDTH + 25} y={places[index]! + 15} className="fill-second text-sm">
              {nameOf(part.code, worked)}
            </text>
          </g>
        ))}
      </svg>
      <ul className="sr-only">
        {parts.map((part) => (
          <li key={part.code}>
            {nameOf(part.code, worked)}: {mass(part.grams, scaleStepG)}
          </li>
        ))}
      </ul>
    </figure>
  )
}
