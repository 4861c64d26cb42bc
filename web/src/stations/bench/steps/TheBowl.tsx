/** The bowl as it fills: what is in it drawn full, what is to come in outline, each as high as its mass. */
import { useFamily } from '#web/state/select.ts'
import { bowlLayers, type BowlLayer } from '@harina/core'
import { useId } from 'react'
import { HatchPattern } from '#web/ui/family.tsx'
import { spreadLabels } from '#web/ui/spreadLabels.ts'
import { useUnits } from '#web/ui/units.ts'
import { usePhone } from '#web/ui/usePhone.ts'
import { liquidName } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

/** `names`: room for what stands beside it. */
const DESK = { width: 300, height: 240, names: 380 }
const PHONE = { width: 130, height: 120, names: 225 }
const LABEL_ROOM = 24
/** Over the brim, and how far the sides lean in to the foot. */
const BRIM = 10
const LEAN = 0.12

const fillOf = ({ kind, isIn }: BowlLayer, hatch: string): string => {
  if (!isIn) return 'none'
  return kind === 'water' ? 'var(--water)' : kind === 'other' ? 'var(--second)' : `url(#${hatch})`
}

/** `weighedG`: what stands on the scale now, by row, drawn as in it. */
export function TheBowl({ weighedG }: { weighedG: Readonly<Record<string, number>> }) {
  const { running, step } = useBench()
  const { plan } = running.batch
  const hatch = useId()
  const family = useFamily(plan)
  const { mass } = useUnits()
  const { width, height, names } = usePhone() ? PHONE : DESK
  const layers = bowlLayers(plan, { ...running.state, weighedG, done: [...running.state.done, step.id] })
  const wholeG = layers.reduce((sum, { grams }) => sum + grams, 0)
  if (wholeG <= 0) return null
  const foot = BRIM + height
  /** Where the sides stand, so high over the foot. */
  const side = (y: number) => LEAN * width * ((y - BRIM) / height)
  const drawn = layers.map((layer, index) => {
    const below = layers.slice(0, index).reduce((sum, { grams }) => sum + grams, 0)
    const bottom = foot - (0.94 * height * below) / wholeG
    const top = bottom - (0.94 * height * layer.grams) / wholeG
    return { ...layer, top, bottom, middle: (top + bottom) / 2 }
  })
  // Labels run from the top down.
  const places = spreadLabels(drawn.map(({ middle }) => middle).reverse(), LABEL_ROOM, foot - 4)
  const words = ({ name, grams, isIn, kind }: BowlLayer) =>
    `${mass(grams, plan.scaleStepG)} ${kind === 'water' ? liquidName(plan) : name}${isIn ? '' : ', to come'}`
  return (
    <figure>
      <svg
        viewBox={`0 0 ${width + names} ${foot + 4}`}
        width={width + names}
        className="h-auto max-w-full"
        role="img"
        aria-label={`In the bowl and to come: ${drawn.map(words).join('; ')}`}
      >
        <HatchPattern id={hatch} family={family} />
        {drawn.map((layer, index) => {
          const { key, top, bottom, middle } = layer
          const label = places[drawn.length - 1 - index] ?? middle
          const [left, leftAbove] = [2 + side(bottom), 2 + side(top)]
          return (
            <g key={key}>
              <path
                d={`M${left} ${bottom}L${leftAbove} ${top}H${width - leftAbove}L${width - left} ${bottom}Z`}
                fill={fillOf(layer, hatch)}
                stroke={layer.isIn ? 'var(--ink)' : 'var(--second)'}
                strokeDasharray={layer.isIn ? undefined : '5 4'}
              />
              <path
                d={`M${width - side(middle)} ${middle}L${width + 14} ${label}H${width + 22}`}
                stroke="var(--second)"
                fill="none"
              />
              <text
                x={width + 28}
                y={label + 5}
                className={`text-md ${layer.isIn ? 'fill-ink font-semibold' : 'fill-second'}`}
              >
                {words(layer)}
              </text>
            </g>
          )
        })}
        <path
          d={`M2 ${BRIM - 8}V${BRIM}L${2 + side(foot)} ${foot}H${width - side(foot)}L${width - 2} ${BRIM}V${BRIM - 8}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2.5"
        />
      </svg>
    </figure>
  )
}
