/** The steps before the bowl: flour on the scale, water in the jug. */
import {
  jugOf,
  eggApart,
  madeUp,
  waterNowC,
  doubtPoints,
  airShiftG,
  isAirShiftTold,
  asWeighed,
  formatNumber,
  firstG,
  heldFlourG,
  calledG,
  sackFlourG,
  waterTargets,
  weighedFirst,
  weighedWithWater,
  type BenchAction,
  type Plan,
  type PlannedRow,
  type StepOf,
} from '@harina/core'
import { STICK_C, wantsStick } from '@harina/core/heat'
import { useState } from 'react'
import { finishStep } from '#web/state/bench.ts'
import { useKitchen } from '#web/state/select.ts'
import { useApp } from '#web/state/store.ts'
import { useAir } from '#web/ui/useAir.ts'
import { useUnits } from '#web/ui/units.ts'
import { Jug } from './Jug.tsx'
import { TheBowl } from './TheBowl.tsx'
import { WentIn } from './WentIn.tsx'
import { ScaleStrip } from '#web/ui/scale/ScaleStrip.tsx'
import { StepPage } from '../StepPage.tsx'
import { Big, Note, useBench, useStep } from '../view.tsx'
import {
  batchesWords,
  called,
  calledWords,
  capital,
  eggsWords,
  liquidName,
  listed,
  pouredRow,
  saidName,
} from '#web/words/index.ts'

/** What the maker says went on the scale; until then what the plan wants for what is already in the bowl. */
function useWeighing(rows: readonly PlannedRow[]) {
  const { running } = useBench()
  const [typed, setTyped] = useState<Readonly<Record<string, number>>>({})
  const { plan } = running.batch
  const weighedG = { ...running.state.weighedG, ...typed }
  /** For all that is weighed but this very row. */
  const wantedOf = (row: PlannedRow) => {
    const { [row.key]: _own, ...others } = weighedG
    return calledG(asWeighed(plan, { weighedG: others }, row), plan.scaleStepG)
  }
  const gramsOf = (row: PlannedRow) => weighedG[row.key] ?? wantedOf(row)
  const actions = rows.map((row): BenchAction => ({ type: 'weighed', row: row.key, grams: gramsOf(row) }))
  const set = (key: string, grams: number) => setTyped((all) => ({ ...all, [key]: grams }))
  return { gramsOf, wantedOf, set, actions, typed }
}

interface WeighRowProps {
  readonly row: PlannedRow
  readonly label: string
  readonly small: boolean
  readonly weighing: ReturnType<typeof useWeighing>
}

/** What is wanted, large, and what really went on the scale. */
function WeighRow({ row, label, small, weighing }: WeighRowProps) {
  const { running } = useBench()
  const { plan } = running.batch
  const noScale = plan.noScale === true
  const { units } = useUnits()
  const told = called(plan, row, weighing.wantedOf(row), units)
  const eggs = eggsWords(row.ingredient, weighing.wantedOf(row), units.egg)
  return (
    <div>
      <Big
        small={small || noScale}
        label={eggs && !noScale ? `${label}: ${eggs}` : label}
        figure={told.figure}
        unit={told.unit}
      />
      {told.note && <p className="mt-2 text-label text-second">{told.note}</p>}
      <p className="mt-1 text-md text-second">
        {noScale ? 'went in' : 'on the scale'}{' '}
        <WentIn
          row={row}
          label={noScale ? `${row.name}, went in, grams` : `${row.name}, grams on the scale`}
          grams={weighing.gramsOf(row)}
          onChange={(grams) => weighing.set(row.key, grams)}
        />
      </p>
    </div>
  )
}

/** The scale's next: the first row that nothing was said of yet, or the last. */
function WeighOnScale({ rows, weighing }: { rows: readonly PlannedRow[]; weighing: ReturnType<typeof useWeighing> }) {
  const { plan } = useBench().running.batch
  const next = rows.find((row) => weighing.typed[row.key] === undefined) ?? rows.at(-1)
  if (!next || plan.noScale) return null
  return (
    <ScaleStrip
      target={{
        label: next.name,
        targetG: weighing.wantedOf(next),
        take: (grams) => weighing.set(next.key, grams),
      }}
    />
  )
}

function FlourNotes({
  plan,
  water,
  changed,
}: {
  plan: Plan
  water: ReturnType<typeof waterTargets>
  changed: boolean
}) {
  const { mass } = useUnits()
  const base = plan.control.by === 'base' ? plan.control.base : null
  const onBase = base !== null
  const isHot = plan.steps.some((step) => step.kind === 'prepare' && ['steam', 'dry', 'simmer'].includes(step.what))
  return (
    <>
      <Note title="Raw flour" grade="caution">
        It is not a ready-to-eat food: do not taste raw dough, wash hands and board, pour low to keep the dust down.
      </Note>
      {isHot && (
        <Note title="Steam burns" grade="caution">
          Potato, squash and paste hold their heat. Split them away from the face, and let the steam go before the flour
          comes in.
        </Note>
      )}
      {changed && (
        <Note title={onBase ? 'The rest follows' : `The ${liquidName(plan)} follows`}>
          {onBase
            ? `Flour, salt and what else goes in are now written for the ${base} on the scale.`
            : `With this flour the jug holds ${mass(water.totalG, plan.scaleStepG)}, first pour at ${mass(water.startG, plan.scaleStepG)}; salt and the rest follow.`}
        </Note>
      )}
    </>
  )
}

/** The air of the store has changed since the sheet was written: what that does to the water. */
function AirNote({ plan }: { plan: Plan }) {
  const { reading } = useAir(useApp((state) => state.preferences.air))
  const ingredients = useKitchen()?.ingredients
  const { temperature, mass } = useUnits()
  if (!plan.store || !ingredients || reading?.shows !== 'air') return null
  const { store } = reading
  const shiftG = airShiftG(plan, store, (id) => ingredients.get(id)?.grain)
  const flourG = sackFlourG(plan, { weighedG: {} })
  if (shiftG === null || !isAirShiftTold(shiftG, flourG)) return null
  return (
    <Note title={`The air has changed: ${mass(Math.abs(shiftG))} ${shiftG > 0 ? 'more' : 'less'} water`}>
      {temperature(store.temperatureC)} and {store.rhPercent} % now; the sheet was written for{' '}
      {temperature(plan.store.temperatureC)} and {plan.store.rhPercent} %. An open sack follows within days, a closed
      one within weeks: have it in mind at the first pour, and let the feel decide.
    </Note>
  )
}

export function FlourStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const { temperature, massFigure, units } = useUnits()
  const step = useStep('flour')
  const { rows: keys } = step
  const rows = weighedFirst(plan).filter((row) => keys?.includes(row.key) ?? true)
  const weighing = useWeighing(rows)
  const off = rows.some((row) => weighing.gramsOf(row) !== firstG(row))
  const empty = rows.filter((row) => row.part === 'flour').every((row) => weighing.gramsOf(row) <= 0)
  const weighedG = Object.fromEntries(rows.map((row) => [row.key, weighing.gramsOf(row)]))
  const heldG = heldFlourG(plan, { weighedG })
  const tare = plan.noScale
    ? 'Stir the flour loose, spoon it into the cup, and level it with a knife: never shake or press it.'
    : 'Tare the bowl first.'
  return (
    <StepPage
      title={`${plan.noScale ? 'Measure' : 'Weigh'} ${whatWeighed(plan, step)}`}
      lead={
        plan.store
          ? `Flour from ${plan.store.name}, ${temperature(plan.store.temperatureC)} and ${plan.store.rhPercent} % damp. ${tare}`
          : tare
      }
      action={{
        label: plan.noScale ? 'Measured, go on' : 'Weighed, go on',
        run: () => void finishStep(running.batch, ...weighing.actions),
        disabled: empty,
      }}
      aside={
        <>
          <AirNote plan={plan} />
          <FlourNotes plan={plan} water={waterTargets(plan, { weighedG })} changed={off && !empty} />
        </>
      }
    >
      <WeighOnScale rows={rows} weighing={weighing} />
      <div className={`grid gap-6 ${rows.length > 1 ? 'sm:grid-cols-2' : ''}`}>
        {rows.map((row) => (
          <WeighRow key={row.key} row={row} label={flourLabel(plan, row)} small={rows.length > 1} weighing={weighing} />
        ))}
        {heldG > 0 && (
          <Big
            small
            label="flour in a cup beside it, for the feel"
            figure={massFigure(heldG, plan.scaleStepG)}
            unit={units.mass}
          />
        )}
      </div>
      <TheBowl weighedG={weighedG} />
    </StepPage>
  )
}

/** @example potato and flour; the semolina; the other flour */
const whatWeighed = ({ control }: Plan, { id, rows }: StepOf<'flour'>): string => {
  if (control.by === 'base') return `${control.base} and flour`
  return rows ? (id === 'flour' ? 'the semolina' : 'the other flour') : 'the flour'
}

const flourLabel = (plan: Plan, row: PlannedRow): string =>
  row.heldG
    ? `${row.name}, first`
    : eggApart(plan.rows).includes(row)
      ? `${saidName(row.name)}, beaten, into a well in the flour`
      : row.name

/** Kept aside: pulled noodles get it while they are twisted. */
const isForTwisting = ({ steps }: Plan, { part }: PlannedRow): boolean =>
  part === 'alkali' && steps.some((step) => step.kind === 'pull')

/** @example salt, alkali and whole egg */
function wholeWords(rows: readonly PlannedRow[]): string {
  return listed([...new Set(rows.map(({ part, name }) => (part === 'other' ? saidName(name) : part)))])
}

/** Keep some back, and take care: what stands beside the jug. */
export function WaterNotes({ plan, heldG, waterC }: { plan: Plan; heldG: number; waterC: number | null }) {
  const { temperature, units } = useUnits()
  const whole = weighedWithWater(plan).filter((row) => !isForTwisting(plan, row))
  const alkali = plan.rows.some((row) => row.part === 'alkali' && row.weighedG > 0)
  return (
    <>
      {alkali && (
        <Note title="Alkali: gloves and eye protection" grade="caution">
          Powder into cold water, never water onto powder; then the salt. No aluminium. A splash: running water, at
          least fifteen minutes on an eye, then medical advice. As its label says.
        </Note>
      )}
      {heldG > 0 && (
        <Note title={`Keep ${calledWords(plan, pouredRow(plan), heldG, units)} back, plain`}>
          {whole.length > 0 && `Put all of the ${wholeWords(whole)} into the first pour. `}
          Flour, store and day differ.{' '}
          {plan.water.batches === 0
            ? 'Harina does not know this flour in a dough like this yet'
            : `${capital(batchesWords(plan.water.batches))} of this flour ${plan.water.batches === 1 ? 'counts' : 'count'}`}
          , so it may need {formatNumber(doubtPoints(plan.water), 1)} % more or less. Make the first pour, then feel.
        </Note>
      )}
      {eggApart(plan.rows).length > 0 && <Note title="Egg onto the flour">Egg sets in lumps in the alkali water.</Note>}
      {waterC !== null && wantsStick(waterC) && plan.water.startG > 0 && (
        <Note title={`Hot ${liquidName(plan)}`} grade="caution">
          Stir with a stick until the dough is below {temperature(STICK_C)}.
        </Note>
      )}
    </>
  )
}

const howItGoesIn: Readonly<Record<string, string>> = {
  alkali: 'first, into cold water',
  salt: 'dissolved in it',
  other: 'with it',
}
const wayIn = (plan: Plan, row: PlannedRow): string => {
  if (isForTwisting(plan, row)) return 'kept for the twisting, as a 5 % solution'
  if (plan.noScale && row.part === 'alkali') return 'never by the spoon: weigh it on a scale, or leave it out'
  if (!plan.noScale && row.weighedG < plan.scaleStepG / 2)
    return row.part === 'alkali'
      ? 'too little for this scale: weigh it on a finer one, never by eye'
      : 'too little for this scale: a pinch, or weigh it on a finer one'
  return madeUp(plan.rows).includes(row) ? 'stirred into the first pour' : (howItGoesIn[row.part] ?? 'with it')
}

export function WaterStep() {
  const { running } = useBench()
  const { plan } = running.batch
  const { units, temperature, volume } = useUnits()
  const dough = useKitchen()?.doughs.get(plan.sheet.dough)
  const rows = weighedWithWater(plan)
  const weighing = useWeighing(rows)
  const water = waterTargets(plan, running.state)
  const jug = jugOf(plan, running.state)
  const waterC = waterNowC(plan, running.state)
  const liquid = liquidName(plan)
  const first = called(plan, pouredRow(plan), water.totalG > 0 ? water.startG : jug.totalG, units)
  const back = called(plan, pouredRow(plan), water.holdBackG, units)
  const choice = dough?.waterC.find(({ fromC, toC }) => waterC !== null && waterC >= fromC && waterC <= toC)
  return (
    <StepPage
      title={
        water.totalG <= 0 ? 'Make up what is poured' : liquid === 'water' ? 'Make the water' : `Measure the ${liquid}`
      }
      lead={
        water.totalG <= 0
          ? 'There is no water to add: this brings all of it.'
          : waterC === null
            ? 'At the temperature you always use.'
            : `About ${temperature(waterC)}${choice ? `: ${choice.why}` : ''}.`
      }
      action={{ label: 'Made, go on', run: () => void finishStep(running.batch, ...weighing.actions) }}
      aside={<WaterNotes plan={plan} heldG={water.holdBackG} waterC={waterC} />}
    >
      <div className="flex flex-wrap items-end gap-x-10 gap-y-4">
        <div>
          <Big
            label={water.holdBackG > 0 ? 'for the first pour' : 'in the jug'}
            figure={first.figure}
            unit={first.unit}
            small={plan.noScale === true}
          />
          {first.note && <p className="small mt-2">{first.note}</p>}
          {units.volume === 'cup' && water.totalG > 0 && (
            <p className="small mt-1">about {volume(water.startG)}; weigh it</p>
          )}
        </div>
        {water.holdBackG > 0 && <Big label="plain, in a cup beside it" figure={back.figure} unit={back.unit} small />}
        <Jug jug={jug} liquid={liquid} heldG={water.holdBackG} pouredG={0} stepG={plan.scaleStepG} />
      </div>
      <div className="flex flex-wrap gap-x-12 gap-y-4 border-t border-line pt-4">
        {rows.map((row) => (
          <WeighRow
            key={row.key}
            row={row}
            label={`${saidName(row.name)}, ${wayIn(plan, row)}`}
            small
            weighing={weighing}
          />
        ))}
      </div>
    </StepPage>
  )
}
