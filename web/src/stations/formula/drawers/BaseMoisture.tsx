/** How wet the potato, squash or curd is, by the table or by the scale, and the flour that follows. */
import {
  flourForMoisture,
  flourLadder,
  formatNumber,
  formatPercent,
  moistureAfterSteaming,
  moistureByDrying,
  setFlourOnBase,
  type Kitchen,
  type Result,
  type Sheet,
  type Worked,
  type WorkedRow,
} from '@harina/core'
import { useState } from 'react'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { problemTold, useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { FigureLine, Line, DrawerSection } from './parts.tsx'

import { Choice } from '#web/ui/Choice.tsx'

const withRow = (sheet: Sheet, key: string, change: (row: Sheet['rows'][number]) => Sheet['rows'][number]): Sheet => ({
  ...sheet,
  rows: sheet.rows.map((row) => (row.key === key ? change(row) : row)),
})

/** Which potato, how cooked: the table's moisture, until one has been measured. */
function Kind({ row, worked, kitchen }: { row: WorkedRow; worked: Worked; kitchen: Kitchen }) {
  const { edit } = useSheet()
  const { control } = worked.dough
  if (control.by !== 'base') return null
  const known = control.bases.includes(row.ingredient.id) ? control.bases : [row.ingredient.id, ...control.bases]
  return (
    <label className="block">
      <span className="small block">Kind, age and how it was cooked</span>
      <Choice
        label="Kind, age and how it was cooked"
        className="box min-h-11 w-full"
        value={row.ingredient.id}
        options={known.map((id) => {
          const ingredient = kitchen.ingredients.get(id)
          return [id, `${ingredient?.name}, ${formatNumber(100 * (ingredient?.water ?? 0), 0)} % water`] as const
        })}
        onChange={(ingredient) =>
          edit((sheet) =>
            withRow(sheet, row.key, ({ lot: _sack, water: _measured, ...rest }) => ({ ...rest, ingredient })),
          )
        }
      />
    </label>
  )
}

interface Weighed {
  readonly before: number
  readonly after: number
}

/** Two weighings, and the moisture they come to; a slip is explained and changes nothing. */
function Weighings({
  names,
  start,
  measure,
  onTake,
}: {
  names: readonly [string, string]
  start: Weighed
  measure: (weighed: Weighed) => Result<number>
  onTake: (moisture: number) => void
}) {
  const [weighed, setWeighed] = useState(start)
  const { units, massFigure } = useUnits()
  const measured = measure(weighed)
  return (
    <>
      {(['before', 'after'] as const).map((when, index) => (
        <Line key={when} name={names[index]}>
          <QuantityField
            label={names[index] ?? when}
            shown={massFigure(weighed[when], 0.1)}
            unit="g"
            min={0.1}
            max={100_000}
            widthCh={7}
            onChange={(grams) => setWeighed((all) => ({ ...all, [when]: grams }))}
          />{' '}
          {units.mass}
        </Line>
      ))}
      {measured.ok ? (
        <div className="flex items-baseline justify-between py-2">
          <span>
            holds <strong className="figure text-lg">{formatPercent(100 * measured.value)} %</strong> water
          </span>
          <button type="button" className="quiet" onClick={() => onTake(measured.value)}>
            Use {formatPercent(100 * measured.value)} %
          </button>
        </div>
      ) : (
        <p role="alert" className="border-l-4 border-danger py-1 pl-3">
          {problemTold(measured.problem)}
        </p>
      )}
    </>
  )
}

function WantedMoisture({ worked }: { worked: Worked }) {
  const { attempt, done } = useSheet()
  const window = worked.dough.doughMoisture
  const [wanted, setWanted] = useState(window?.best ?? 100 * worked.batch.doughMoisture)
  const flour = flourForMoisture(worked, wanted / 100)
  return (
    <DrawerSection
      title="Flour for a wanted dough"
      lead={window ? `This dough holds best from ${window.low} to ${window.high} % water, flour included.` : undefined}
    >
      <FigureLine
        name="dough’s water"
        label="Wanted dough moisture, percent"
        shown={formatPercent(wanted)}
        unit="%"
        min={20}
        max={90}
        widthCh={5}
        onChange={setWanted}
        after="%"
      />
      {flour.ok ? (
        <div className="flex items-baseline justify-between py-2">
          <span>
            wants <strong className="figure text-lg">{formatPercent(flour.value)}</strong> of flour on 100
          </span>
          <button
            type="button"
            className="quiet"
            onClick={() => {
              attempt(setFlourOnBase(worked, flour.value), 'moisture')
              done()
            }}
          >
            Set {formatPercent(flour.value)}
          </button>
        </div>
      ) : (
        <p role="alert" className="border-l-4 border-danger py-1 pl-3">
          {problemTold(flour.problem)}
        </p>
      )}
    </DrawerSection>
  )
}

const stateWords = { soft: 'too soft', in: 'holds', stiff: 'heavy' } as const

function Ladder({ worked }: { worked: Worked }) {
  const flourOnBase = worked.control.by === 'base' ? worked.control.flourOnBase : 0
  return (
    <DrawerSection
      title="What more flour would do"
      lead="Flour makes it hold, and makes it heavy: three at a time, one piece into the pot each time."
    >
      <table className="w-full text-base">
        <thead className="small text-left">
          <tr>
            <th className="font-normal">flour on 100</th>
            <th className="font-normal">dough’s water</th>
            <th className="font-normal">for {worked.shape.name}</th>
          </tr>
        </thead>
        <tbody className="figure">
          {flourLadder(worked).map((step) => {
            const now = Math.abs(step.flourOnBase - flourOnBase) < 1e-6
            return (
              <tr key={step.flourOnBase} className={`border-b border-line ${now ? 'font-semibold' : ''}`}>
                <td>{formatPercent(step.flourOnBase)}</td>
                <td>{formatPercent(100 * step.moisture)} %</td>
                <td>
                  {stateWords[step.state]}
                  {now ? ', as it stands' : ''}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </DrawerSection>
  )
}

export default function BaseMoisture({ worked, kitchen, onClose }: DrawerProps) {
  const { edit } = useSheet()
  const bases = worked.rows.filter((row) => row.part === 'base')
  const [key, setKey] = useState(bases[0]?.key ?? '')
  const row = bases.find((each) => each.key === key) ?? bases[0]
  if (!row) return null
  const take = (water: number) => edit((sheet) => withRow(sheet, row.key, (each) => ({ ...each, water })))
  const measured = worked.sheet.rows.find((each) => each.key === row.key)?.water !== undefined
  const forget = () => edit((sheet) => withRow(sheet, row.key, ({ water: _measured, ...rest }) => rest))
  return (
    <SidePanel title="Potato and moisture" onClose={onClose}>
      {bases.length > 1 && (
        <Choice
          label="Which base"
          className="box mb-3 min-h-11 w-full"
          value={row.key}
          options={bases.map((each) => [each.key, each.ingredient.name] as const)}
          onChange={(chosen) => setKey(chosen)}
        />
      )}
      <Kind row={row} worked={worked} kitchen={kitchen} />
      <p className="my-3">
        It is taken to hold <strong className="figure text-lg">{formatPercent(100 * row.water)} %</strong> water,{' '}
        {measured ? 'as measured.' : 'by the table.'}{' '}
        {measured && (
          <button type="button" className="quiet" onClick={forget}>
            Back to the table
          </button>
        )}
      </p>
      <DrawerSection
        title="By steaming off"
        lead="Weigh it as it comes out of the skin, and again when it has steamed: only water leaves."
      >
        <Weighings
          key={`steam-${row.ingredient.id}`}
          names={['as cooked', 'steamed off']}
          start={{ before: 1000, after: 960 }}
          measure={({ before, after }) => moistureAfterSteaming(before, after, row.ingredient.water)}
          onTake={take}
        />
      </DrawerSection>
      <DrawerSection
        title="By drying a spoonful"
        lead="Spread a spoonful thin in a low oven until it no longer loses weight."
      >
        <Weighings
          names={['a spoonful', 'dried']}
          start={{ before: 20, after: 4.6 }}
          measure={({ before, after }) => moistureByDrying(before, after)}
          onTake={take}
        />
      </DrawerSection>
      <WantedMoisture worked={worked} />
      <Ladder worked={worked} />
    </SidePanel>
  )
}
