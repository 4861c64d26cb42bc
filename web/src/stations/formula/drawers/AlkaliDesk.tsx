/** Alkali by weight: cautions before the figures, then the dose, its other forms, the water's pH and the baking tray. */
import {
  bakeSoda,
  carbonateSolution,
  fullyBakedG,
  gramForGram,
  MOST_ALKALI_PERCENT,
  saltsIn,
  stockSolution,
  swappable,
  teaspoonG,
} from '@harina/core/alkali'
import {
  formatNumber,
  formatPercent,
  setRowPercent,
  swapAlkali,
  type Kitchen,
  type Worked,
  type WorkedRow,
} from '@harina/core'
import { hazards } from '@harina/facts'
import { format } from 'date-fns'
import { useState } from 'react'
import { timeNow } from '#web/state/bench.ts'
import { setGear } from '#web/state/gear.ts'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useNow } from '#web/ui/useNow.ts'
import { problemTold, useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { Caution, FigureLine, Line, DrawerSection } from './parts.tsx'

const FINE_G = 0.1

/** The dose on this sheet, in percent of flour as sodium carbonate; over the limit it is shown as wrong, not as right. */
function Dose({ row, worked }: { row: WorkedRow; worked: Worked }) {
  const { attempt, done } = useSheet()
  const { mass } = useUnits()
  const factor = row.ingredient.carbonate ?? 0
  const percent = worked.batch.carbonatePercent
  const others = percent - row.onFlour * factor
  const range = worked.dough.alkaliPercent
  const spoon = teaspoonG(row.ingredient)
  return (
    <DrawerSection
      title="The dose"
      lead={
        range
          ? `This dough takes ${range.low} to ${range.high} % of the flour, as sodium carbonate.`
          : 'The table has no alkali for this dough.'
      }
    >
      {factor > 0 ? (
        <FigureLine
          name="as sodium carbonate, on flour"
          label="Alkali as sodium carbonate, percent of flour"
          shown={formatNumber(percent, 2)}
          unit="%"
          min={0}
          max={10}
          widthCh={5}
          onChange={(wanted) =>
            attempt(setRowPercent(worked, row.key, Math.max(0, wanted - others) / factor), 'alkali')
          }
          onDone={done}
          after="%"
        />
      ) : (
        <p>Baking soda that has not been baked brings no carbonate: bake it first, below.</p>
      )}
      <Line name={`${row.ingredient.name}, weighed`}>{mass(row.grams, FINE_G)}</Line>
      {percent > MOST_ALKALI_PERCENT && (
        <p role="alert" className="my-2 border-l-5 border-danger pl-3 leading-snug">
          Over {MOST_ALKALI_PERCENT} % is harsh and soapy. This cannot be right: take it down before it is weighed.
        </p>
      )}
      {row.grams > 0 && (
        <p className="small mt-2 leading-snug">
          Never by the spoon: a teaspoon holds {mass(spoon.lowG, FINE_G)} to {mass(spoon.highG, FINE_G)} by how it is
          filled.{' '}
          {spoon.highG > row.grams
            ? `One would be up to ${formatNumber(spoon.highG / row.grams, 1)} times what this dough wants.`
            : `So many spoons would miss this dose by ${formatNumber((50 * (spoon.highG - spoon.lowG)) / spoon.lowG, 0)} % either way.`}
        </p>
      )}
    </DrawerSection>
  )
}

/** The same carbonate from another jar. */
function OtherJar({ row, kitchen }: { row: WorkedRow; kitchen: Kitchen }) {
  const { edit } = useSheet()
  const { mass } = useUnits()
  const jars = swappable
    .flatMap((id) => kitchen.ingredients.get(id) ?? [])
    .filter(({ id }) => id !== row.ingredient.id)
    .map((ingredient) => ({ ingredient, share: gramForGram(row.ingredient, ingredient) }))
    .filter(({ share }) => share > 0)
  if (jars.length === 0) return null
  return (
    <DrawerSection title="From another jar" lead="As much carbonate, by what each powder holds.">
      {jars.map(({ ingredient, share }) => (
        <Line key={ingredient.id} name={ingredient.name}>
          {mass(row.grams * share, FINE_G)}{' '}
          <button
            type="button"
            className="quiet ml-2 font-normal"
            aria-label={`Use ${ingredient.name}`}
            onClick={() => edit((sheet) => swapAlkali(sheet, row.key, row.ingredient, ingredient))}
          >
            use
          </button>
        </Line>
      ))}
    </DrawerSection>
  )
}

function WaterPh({ worked }: { worked: Worked }) {
  const { temperature } = useUnits()
  const salts = worked.rows
    .filter((row) => row.part === 'alkali')
    .flatMap((row) => saltsIn(row.ingredient.id, row.grams))
  const waterG = worked.rows.reduce((sum, row) => sum + (row.part === 'water' ? row.grams * row.water : 0), 0)
  if (salts.length === 0 || waterG <= 0) return null
  const solution = carbonateSolution(salts, waterG)
  return (
    <DrawerSection
      title="pH of the water"
      lead={`Of the water with the powder in it, at ${temperature(25)}; not of the dough.`}
    >
      <Line name="powder on 100 g of water">{formatNumber(solution.gramsPer100gWater, 1)} g</Line>
      <Line name="pH, as if it were very thin">{formatNumber(solution.pHIdeal, 1)}</Line>
      <Line name="pH, ions counted against each other">{formatNumber(solution.pHDavies, 1)}</Line>
      {!solution.daviesInRange && (
        <p className="small mt-1 leading-snug">
          So strong a solution is beyond what that correction is good for: take it as “about”, and somewhat high. A
          strip cannot tell unfinished baking either; the tray’s weight can.
        </p>
      )}
    </DrawerSection>
  )
}

function Stock({ row, worked }: { row: WorkedRow; worked: Worked }) {
  const [percent, setPercent] = useState(10)
  const [batches, setBatches] = useState(4)
  const { mass } = useUnits()
  const now = useNow(60_000)
  const stock = stockSolution(row.grams, percent, batches)
  const label = [
    `${row.ingredient.name}, ${formatNumber(percent, 0)} % in water`,
    `Made ${format(now, 'd MMM yyyy')}. For dough: ${mass(stock.solutionG, FINE_G)} for ${mass(worked.batch.flourG)} of flour.`,
    'ALKALINE. Harms eyes and skin. Not to drink. Keep from children. Not in aluminium.',
  ]
  if (row.grams <= 0) return null
  return (
    <DrawerSection title="A stock solution" lead="For scales too coarse for the powder: weigh it once, dose it wet.">
      <FigureLine
        name="strength"
        label="Strength of the stock, percent"
        shown={formatNumber(percent, 0)}
        unit="%"
        min={1}
        max={15}
        widthCh={4}
        onChange={setPercent}
        after="%"
      />
      <FigureLine
        name="for so many doughs"
        label="Doughs the stock is for"
        shown={formatNumber(batches, 0)}
        unit="count"
        min={1}
        max={100}
        widthCh={4}
        onChange={(n) => setBatches(Math.round(n))}
      />
      <Line name="powder, into the water">{mass(stock.powderG, FINE_G)}</Line>
      <Line name="cold water, in the jar first">{mass(stock.waterG, 1)}</Line>
      <Line name="of it, for this dough">{mass(stock.solutionG, FINE_G)}</Line>
      <p className="small mt-1">It brings {mass(stock.bringsWaterG, 1)} of water: pour that much less.</p>
      <div className="mt-3 border-2 border-ink p-3" data-print="label">
        {label.map((line, index) => (
          <p key={line} className={index === 0 ? 'head text-lg' : 'text-label leading-snug'}>
            {line}
          </p>
        ))}
      </div>
      <button type="button" className="quiet mt-2" onClick={() => print()}>
        Print the label
      </button>
    </DrawerSection>
  )
}

function Tray({ row, worked }: { row: WorkedRow | undefined; worked: Worked }) {
  const [before, setBefore] = useState(100)
  const [after, setAfter] = useState(66)
  const { mass, massFigure, units, temperature } = useUnits()
  const baked = bakeSoda(before, after, 0)
  const wantedG = row ? row.grams * (row.ingredient.carbonate ?? 0) : 0
  return (
    <DrawerSection
      title="Baking soda"
      lead={`Thin layer, about ${temperature(130)} to ${temperature(150)}, an hour or more. The scale, not the clock, says when it is done: fully baked, 63 of every 100 are left.`}
    >
      <FigureLine
        name="soda on the tray"
        label="Soda before baking, grams"
        shown={massFigure(before, FINE_G)}
        unit="g"
        min={1}
        max={10_000}
        widthCh={6}
        onChange={setBefore}
        after={units.mass}
      />
      <FigureLine
        name="weighs now"
        label="Soda after baking, grams"
        shown={massFigure(after, FINE_G)}
        unit="g"
        min={0.1}
        max={10_000}
        widthCh={6}
        onChange={setAfter}
        after={units.mass}
      />
      {baked.ok ? (
        <>
          <Line name="baked so far">{formatNumber(100 * baked.value.conversion, 0)} %</Line>
          <Line name="carbonate on the tray">{mass(baked.value.carbonateG, FINE_G)}</Line>
          {!baked.value.done && (
            <p className="small leading-snug">
              Not yet: the last few per cent are worth half a pH. Done at {mass(fullyBakedG(before), FINE_G)}. Weigh it
              warm, then close the jar: it takes up water from the air.
            </p>
          )}
          {wantedG > 0 && baked.value.carbonateG > 0 && (
            <Line name={`of it, for ${mass(worked.batch.flourG)} of flour`}>
              {mass((wantedG * after) / baked.value.carbonateG, FINE_G)}
            </Line>
          )}
        </>
      ) : (
        <p role="alert" className="border-l-4 border-danger py-1 pl-3">
          {problemTold(baked.problem)}
        </p>
      )}
    </DrawerSection>
  )
}

function Acknowledge({ kitchen }: { kitchen: Kitchen }) {
  const { alkaliReadAt } = kitchen.gear
  const read = () => void setGear({ alkaliReadAt: timeNow() })
  return alkaliReadAt === null ? (
    <button type="button" className="action mb-4" onClick={read}>
      I have read this
    </button>
  ) : (
    <p className="small mb-4">Read on {format(new Date(alkaliReadAt), 'd MMMM yyyy')}. It is repeated at the bench.</p>
  )
}

export default function AlkaliDesk({ worked, kitchen, onClose }: DrawerProps) {
  const row = worked.rows.find((each) => each.part === 'alkali')
  const hazard = hazards.find((each) => each.id === 'alkali')
  return (
    <SidePanel title="Alkali" onClose={onClose}>
      {hazard && <Caution title={hazard.title}>{hazard.text}</Caution>}
      <Acknowledge kitchen={kitchen} />
      {kitchen.gear.alkaliReadAt !== null && (
        <>
          {row && <Dose row={row} worked={worked} />}
          {row && <OtherJar row={row} kitchen={kitchen} />}
          <WaterPh worked={worked} />
          {row && <Stock row={row} worked={worked} />}
          <Tray row={row} worked={worked} />
          <p className="small">
            {formatPercent(worked.batch.saltPercent)} % salt goes in after the alkali has dissolved.
          </p>
        </>
      )}
    </SidePanel>
  )
}
