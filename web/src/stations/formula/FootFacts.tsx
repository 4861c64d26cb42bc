import { formatNumber, kneadMinOf, workersFor, type Worked } from '@harina/core'
import type { ReactNode } from 'react'
import { Choice } from '../../ui/Choice.tsx'
import { useUnits } from '../../ui/units.ts'
import { aboutMinutes, capital, liquidOf, kneadSpan, restWords, workerWords } from '../../words/index.ts'
import { useSheet } from './useSheet.ts'

function Fact({ name, figure, note }: { name: ReactNode; figure: string; note: string }) {
  return (
    <div className="min-w-0">
      <div className="small">{name}</div>
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
  const { cut, shape, made, practice } = worked
  const { temperature, length, mass } = useUnits()
  const { edit } = useSheet()
  const workers = workersFor(made)
  const water = made.waterC.find(
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
      {worked.water.totalG > 0 && practice.waterC === null ? (
        <Fact name={capital(liquidOf(worked))} figure="cool" note="as it comes" />
      ) : practice.waterC === null || worked.water.totalG <= 0 ? (
        <Fact
          name="Liquid"
          figure="none"
          note={worked.control.by === 'base' ? 'the base brings all of it' : 'egg, milk or purée bring all of it'}
        />
      ) : (
        <Fact
          name={capital(liquidOf(worked))}
          figure={`about ${temperature(practice.waterC)}`}
          note={
            practice.kneads !== 'hand' && practice.waterC !== practice.waterBy?.hand
              ? `cooler than by hand: the dough warms ${workerWords[practice.kneads]}`
              : (water?.why ?? 'as you set it')
          }
        />
      )}
      <Fact
        name={
          workers.length > 1 ? (
            <span className="flex items-baseline gap-1">
              Knead
              <Choice
                label="Who kneads this dough"
                className="-my-1 min-h-6 underline decoration-dotted underline-offset-4"
                value={practice.kneads}
                options={workers.map((by) => [by, workerWords[by]] as const)}
                onChange={(by) => {
                  if (by) edit((sheet) => ({ ...sheet, machines: { ...sheet.machines, kneads: by } }))
                }}
              />
            </span>
          ) : (
            'Knead, then rest'
          )
        }
        figure={kneadSpan(kneadMinOf(made, practice.kneads))}
        note={`rest ${restWords(practice)}, ${practice.restCold ? 'in the fridge' : 'covered'}`}
      />
      <Fact name="Cook, fresh" figure={aboutMinutes(worked.cookMin)} note={shape.doneSign} />
      <PortionFact worked={worked} />
    </div>
  )
}
