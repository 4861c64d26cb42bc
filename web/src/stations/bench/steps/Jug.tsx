/** Two vessels, their areas to scale: what goes in first, with all that is made up with it, and the plain water held back beside it. */
import { onTheScaleG, type Jug as JugOf } from '@harina/core'
import { useUnits } from '#web/ui/units.ts'
import { usePhone } from '#web/ui/usePhone.ts'
import { calledWords, pouredRow, saidName } from '#web/words/index.ts'
import { useBench } from '../view.tsx'

interface Props {
  readonly jug: JugOf
  /** What is poured, by its name. */
  readonly liquid: string
  readonly heldG: number
  readonly pouredG: number
  readonly stepG: number
}

const DESK = { height: 170, width: 116, cup: 34 }
const PHONE = { height: 96, width: 84, cup: 26 }
/** Room over the brim. */
const BRIM = 8
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

/** Lines across what is no water, so that it is told apart without its colour. */
function Layer({ x, width, top, height }: { x: number; width: number; top: number; height: number }) {
  const lines = Array.from({ length: Math.max(0, Math.floor(height / 6)) }, (_, k) => top + 4 + 6 * k)
  return (
    <>
      <rect x={x} y={top} width={width} height={height} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1" />
      {lines.map((y) => (
        <path key={y} d={`M${x} ${y}H${x + width}`} stroke="var(--ink)" strokeWidth="1" />
      ))}
    </>
  )
}

export function Jug({ jug, liquid, heldG, pouredG, stepG }: Props) {
  const { height, width, cup } = usePhone() ? PHONE : DESK
  const { plan } = useBench().running.batch
  const { mass, units } = useUnits()
  const { waterG, totalG, others } = jug
  const full = Math.max(totalG, 1e-9)
  const leftG = waterG > 0 ? onTheScaleG(jug, pouredG, Math.max(0, waterG - pouredG)) : totalG
  // So many pixels of area a gram, in both.
  const cupFull = Math.min(height, ((heldG / full) * height * width) / cup)
  const heldLeft = pouredG > waterG ? Math.max(0, heldG - (pouredG - waterG)) : heldG
  const foot = BRIM + height
  const words = (grams: number) =>
    plan.noScale ? calledWords(plan, pouredRow(plan), grams, units) : mass(grams, stepG)
  const second = width + GAP
  // Cups and spoons take more words than there is room for side by side.
  const heldAt = plan.noScale ? ([2, foot + 37] as const) : ([second, foot + 18] as const)
  const inBowlY = foot + (plan.noScale && heldG > 0 ? 56 : 37)
  const level = (leftG / full) * height
  const waterLevel = level * (waterG / full)
  const inIt = [
    ...(waterG > 0 ? [`${words(waterG)} of ${liquid}`] : []),
    ...others.map(({ key, name, grams }) => {
      const row = plan.rows.find((each) => each.key === key)
      return `${row && plan.noScale ? calledWords(plan, row, grams, units) : mass(grams, stepG)} of ${saidName(name)}`
    }),
  ]
  return (
    <div>
      <svg
        width={second + Math.max(cup, plan.noScale ? 180 : 110)}
        height={inBowlY + 7}
        className="max-w-full"
        role="img"
        aria-label={`${words(leftG)} to pour first${heldG > 0 ? `, ${words(heldLeft)} held back` : ''}${pouredG > 0 ? `, ${words(onTheScaleG(jug, 0, pouredG))} in the bowl` : ''}`}
      >
        {others.length > 0 && level - waterLevel >= 1 && (
          <Layer x={2} width={width} top={foot - level} height={level - waterLevel} />
        )}
        <Vessel x={2} width={width} height={height} top={BRIM} level={waterLevel} />
        <text x={2} y={foot + 18} className="fill-ink text-md font-semibold">
          {words(leftG)} first
        </text>
        {pouredG > 0 && (
          <text x={2} y={inBowlY} className="fill-second text-base">
            {words(onTheScaleG(jug, 0, pouredG))} in the bowl
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
            <text x={heldAt[0]} y={heldAt[1]} className="fill-ink text-md">
              {words(heldLeft)} held back
            </text>
          </>
        )}
      </svg>
      {others.length > 0 && <p className="small">{inIt.join(' and ')}, stirred to one</p>}
    </div>
  )
}
