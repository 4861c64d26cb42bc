/** The water: how much, how salt, when it boils here, and how much may go in at once. */
import { formatNumber, potNow, type Gear } from '@harina/core'
import { onThePlate, potsOf, SAUCE_ML } from '@harina/core/stove'
import type { ReactNode } from 'react'
import { recordTap } from '#web/state/bench.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { PotSalt } from '#web/ui/PotSalt.tsx'
import { useUnits } from '#web/ui/units.ts'
import { counted, minutesWords } from '#web/words/index.ts'
import type { Basket } from './baskets.ts'
import { PotDrawing } from './PotDrawing.tsx'

function Figure({ label, figure, note }: { label: string; figure: string; note?: ReactNode }) {
  return (
    <div>
      <p className="small">{label}</p>
      <p className="figure text-4xl leading-tight font-semibold whitespace-nowrap">{figure}</p>
      {note && <div className="small leading-snug">{note}</div>}
    </div>
  )
}

const plain = (value: number) => formatNumber(value, value < 10 && value % 1 !== 0 ? 1 : 0)

const saltWords = ([low, high]: readonly [number, number], mass: (grams: number, stepG?: number) => string): string => {
  const [from, to] = [mass(low, 0.1), mass(high, 0.1)]
  return from === to ? from : `${from} to ${to}`
}

function Plate({ basket }: { basket: Basket }) {
  const { running, cooking, finish } = basket
  const { plan } = running.batch
  const { mass, volume } = useUnits()
  const plate = cooking && onThePlate(plan, running.state, cooking, finish)
  if (!plate) return null
  return (
    <p className="small leading-snug">
      {mass(100)} become about {mass(plate.cookedG)}, with {saltWords(plate.saltG, mass)} of salt
      {plate.doughSaltG > 0.05 && `; of the dough’s own ${mass(plate.doughSaltG, 0.1)} most washes out`}. Into a broth
      about {mass(plate.clingsG)} of this water go along
      {plate.clingsSaltG > 0.05 && ` with ${mass(plate.clingsSaltG, 0.1)} of salt`}
      {plan.rows.some(({ part }) => part === 'alkali') &&
        ': alkaline, and yellow; shake it off well, and change the water after some turns'}
      . Keep {volume(SAUCE_ML)} for the sauce before draining.
    </p>
  )
}

interface Props {
  readonly basket: Basket
  readonly gear: Gear
}

export function WaterPanel({ basket, gear }: Props) {
  const { mass, temperature, degrees } = useUnits()
  const pots = potsOf(gear)
  const { water } = basket
  const chosen = water.pot
  const { saltGPerL } = potNow(basket.running.batch.plan, basket.running.state)
  const choose = (potId: string) => {
    const pot = pots.find(({ id }) => id === potId)
    if (pot) void recordTap(basket.running.batch, { type: 'pot-chosen', pot })
  }
  return (
    <section aria-label={`Water for ${basket.name}`} className="flex flex-col gap-3">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span className="head text-lg">
          {basket.name}, {mass(basket.grams)}, in
        </span>
        <Choice
          label="Pot"
          className="field min-h-9 text-lg font-semibold"
          value={chosen.id}
          options={pots.map((pot) => [pot.id, pot.name] as const)}
          onChange={choose}
        />
        <span className="small">
          {plain(chosen.holdsL)} L to the brim
          {chosen.ringKW === null ? ', on a usual ring: say yours in Gear' : `, ${formatNumber(chosen.ringKW, 1)} kW`}
        </span>
      </p>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <PotDrawing holdsL={chosen.holdsL} litres={water.litres} />
        <Figure
          label="water"
          figure={`${plain(water.litres)} L`}
          note={water.turns > 1 ? `${counted(water.turns, 'turn')} of ${mass(water.eachG)}` : 'all in one go'}
        />
        <Figure
          label="salt in it"
          figure={saltGPerL === 0 ? 'none' : mass(water.saltG)}
          note={<PotSalt running={basket.running} />}
        />
        <Figure
          label="to the boil"
          figure={`${plain(water.minutesToBoil)} min`}
          note={`at ${temperature(water.boilC, 1)} here, lid on`}
        />
        <Figure
          label="one basket"
          figure={mass(water.basketG)}
          note={`at most; a turn dips it ${degrees(Math.round(water.dipC * 10) / 10)}°, back in ${minutesWords(Math.max(1 / 12, water.minutesToReturn))}`}
        />
      </div>
      {water.minutesToReturn > 1 && (
        <p className="border-l-5 border-danger pl-3 leading-snug">
          A turn of {mass(water.eachG)} takes the boil away for {minutesWords(water.minutesToReturn)}: baskets of{' '}
          {mass(water.basketG)} keep it, or a bigger ring.
        </p>
      )}
      <Plate basket={basket} />
    </section>
  )
}
