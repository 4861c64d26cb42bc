import { formatNumber, type Worked } from '@harina/core'
import { useUnits } from '../../ui/units.ts'
import { aboutMinutes, restWords } from '../../words/index.ts'

function Fact({ name, figure, note }: { name: string; figure: string; note: string }) {
  return (
    <div className="min-w-0">
      <p className="small">{name}</p>
      <p className="figure text-3xl leading-tight font-semibold">{figure}</p>
      <p className="line-clamp-2 text-sm leading-tight text-second">{note}</p>
    </div>
  )
}

/** What a portion is, for whoever eats it: energy, salt, money. */
function PortionFact({ worked }: { worked: Worked }) {
  const { portionG, balance, usableG } = worked
  const grams = portionG ?? 100
  const kJ = (balance.kJPer100G * grams) / 100
  const salt = (balance.saltGPer100G * grams) / 100
  const money = balance.cost ? (balance.cost.total * grams) / usableG : null
  return (
    <Fact
      name={portionG === null ? '100 g of it' : 'A portion, uncooked'}
      figure={`${formatNumber(kJ, 0)} kJ`}
      note={[
        `${formatNumber(kJ / 4.184, 0)} kcal, ${formatNumber(salt, 1)} g salt`,
        money === null ? null : `costs ${formatNumber(money, 2)}${balance.cost?.unpriced.length ? ' at least' : ''}`,
      ]
        .filter(Boolean)
        .join('; ')}
    />
  )
}

/** What follows from the sheet for the rest of the work. */
export function FootFacts({ worked }: { worked: Worked }) {
  const { cut, shape, dough, practice } = worked
  const { temperature, length, mass } = useUnits()
  const water = dough.waterC.find(
    ({ fromC, toC }) => practice.waterC !== null && practice.waterC >= fromC && practice.waterC <= toC,
  )
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-3 md:grid-cols-5">
      <Fact
        name="Pieces"
        figure={formatNumber(cut.pieces, 0)}
        note={
          cut.rope
            ? `${mass(cut.pieceG, 0.01)} each; ${length(cut.rope.ropeMm)} of rope, ${cut.rope.ropes === 1 ? 'one board length' : `${formatNumber(cut.rope.ropes, 0)} board lengths`}`
            : `${mass(cut.pieceG, 0.01)} each`
        }
      />
      {practice.waterC === null || worked.water.totalG <= 0 ? (
        <Fact
          name="Liquid"
          figure="none"
          note={worked.control.by === 'base' ? 'the base brings all of it' : 'egg, milk or purée bring all of it'}
        />
      ) : (
        <Fact name="Water" figure={`about ${temperature(practice.waterC)}`} note={water?.why ?? 'as you set it'} />
      )}
      <Fact
        name="Knead, then rest"
        figure={`${dough.kneadMin[0]} to ${dough.kneadMin[1]} min`}
        note={`rest ${restWords(practice)}, ${practice.restCold ? 'in the fridge' : 'covered'}${dough.restMin.low > 0 ? `; ${dough.restMin.low} min at least` : ''}`}
      />
      <Fact name="Cook, fresh" figure={aboutMinutes(worked.cookMin)} note={shape.doneSign} />
      <PortionFact worked={worked} />
    </div>
  )
}
