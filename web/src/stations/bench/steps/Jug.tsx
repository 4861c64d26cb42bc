/** Two vessels, their areas to scale: what goes in first, all salts in it, and the plain water held back beside it. */
import { useUnits } from '#web/ui/units.ts'
import { usePhone } from '#web/ui/usePhone.ts'

interface Props {
  readonly startG: number
  readonly heldG: number
  readonly pouredG: number
  readonly stepG: number
}

const DESK = { height: 170, width: 116, cup: 34 }
const PHONE = { height: 96, width: 84, cup: 26 }
/** Room over the brim, and for the words below. */
const BRIM = 8
const WORDS = 44
const GAP = 34

function Vessel({
  x,
  width,
  height,
  level,
  top,
}: {
  x: number
  width: number
  height: number
  level: number
  top: number
}) {
  const foot = top + height
  return (
    <>
      <rect x={x} y={foot - level} width={width} height={level} fill="var(--water)" />
      <path
        d={`M${x} ${top - BRIM}V${foot}H${x + width}V${top - BRIM}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.5"
      />
    </>
  )
}

export function Jug({ startG, heldG, pouredG, stepG }: Props) {
  const { height, width, cup } = usePhone() ? PHONE : DESK
  const { mass } = useUnits()
  const full = Math.max(startG, 1e-9)
  const leftG = Math.max(0, startG - pouredG)
  // So many pixels of area a gram, in both.
  const cupFull = Math.min(height, ((heldG / full) * height * width) / cup)
  const heldLeft = pouredG > startG ? Math.max(0, heldG - (pouredG - startG)) : heldG
  const foot = BRIM + height
  const words = (grams: number) => mass(grams, stepG)
  const second = width + GAP
  return (
    <svg
      width={second + Math.max(cup, 110)}
      height={foot + WORDS}
      className="max-w-full"
      role="img"
      aria-label={`${words(leftG)} to pour first${heldG > 0 ? `, ${words(heldLeft)} held back, plain` : ''}${pouredG > 0 ? `, ${words(pouredG)} in the bowl` : ''}`}
    >
      <Vessel x={2} width={width} height={height} top={BRIM} level={(leftG / full) * height} />
      <text x={2} y={foot + 18} className="fill-ink text-md font-semibold">
        {words(leftG)} first
      </text>
      {pouredG > 0 && (
        <text x={2} y={foot + 37} className="fill-second text-base">
          {words(pouredG)} in the bowl
        </text>
      )}
      {heldG > 0 && (
        <>
          <Vessel
            x={second}
            width={cup}
            height={Math.max(24, cupFull)}
            top={foot - Math.max(24, cupFull)}
            level={heldG > 0 ? (heldLeft / heldG) * cupFull : 0}
          />
          <text x={second} y={foot + 18} className="fill-ink text-md">
            {words(heldLeft)} held back
          </text>
        </>
      )}
    </svg>
  )
}
