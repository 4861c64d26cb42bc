/** The jug, to scale: what is in the bowl, where to stop first, and all of it. */
import { spreadLabels } from '#web/ui/spreadLabels.ts'
import { useUnits } from '#web/ui/units.ts'
import { usePhone } from '#web/ui/usePhone.ts'

interface Props {
  readonly totalG: number
  readonly startG: number
  readonly pouredG: number
  readonly stepG: number
}

const DESK = { height: 190, width: 116 }
const PHONE = { height: 96, width: 84 }
const LABEL_ROOM = 21

export function Jug({ totalG, startG, pouredG, stepG }: Props) {
  const { height, width } = usePhone() ? PHONE : DESK
  const full = Math.max(totalG, pouredG) * 1.06
  const y = (grams: number) => 6 + height * (1 - grams / full)
  const { massFigure } = useUnits()
  const grams = (value: number) => massFigure(value, stepG)
  const lines = [
    { at: totalG, text: `${grams(totalG)} all of it`, strong: false },
    { at: startG, text: `${grams(startG)} stop here first`, strong: true },
    { at: pouredG, text: `${grams(pouredG)} in the bowl`, strong: false },
  ].filter((_, index) => index !== 2 || pouredG > 0)
  const sorted = [...lines].sort((a, b) => b.at - a.at)
  const places = spreadLabels(
    sorted.map((line) => y(line.at)),
    LABEL_ROOM,
    height + 14,
  )
  const placed = sorted.map((line, index) => ({ ...line, place: places[index] ?? 0 }))
  return (
    <svg
      width={width + 202}
      height={height + 30}
      className="max-w-full"
      role="img"
      aria-label={lines.map((line) => line.text).join(', ')}
    >
      <rect x="2" y={y(pouredG)} width={width} height={6 + height - y(pouredG)} fill="var(--water)" />
      <path d={`M2 2V${height + 6}H${width + 2}V2`} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
      {placed.map((line) => (
        <g key={line.text}>
          <path
            d={`M2 ${y(line.at)}H${width + 2}L${width + 14} ${line.place}`}
            stroke={line.strong ? 'var(--family)' : 'var(--ink)'}
            strokeWidth={line.strong ? 3.5 : 1.5}
            fill="none"
          />
          <text
            x={width + 20}
            y={line.place + 5}
            className={line.strong ? 'fill-(--family) text-md font-semibold' : 'fill-ink text-base'}
          >
            {line.text}
          </text>
        </g>
      ))}
    </svg>
  )
}
