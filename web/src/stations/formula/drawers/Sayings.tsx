/** How wet it is, in the ways people say it: each can be read, and each can be typed. */
import {
  CUP_ML,
  cupRegions,
  cupsOf,
  divisorOf,
  formatNumber,
  formatPercent,
  onRule,
  partsOf,
  percentOfCups,
  percentOfDivisor,
  percentOfParts,
  pouredG,
  setOnRule,
  type CupRegion,
  type Worked,
} from '@harina/core'
import { useState } from 'react'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { FigureLine, Line, DrawerSection } from './parts.tsx'
import { Choice } from '#web/ui/Choice.tsx'

const regionWords: Readonly<Record<CupRegion, string>> = {
  us: 'United States, 237 ml',
  metric: 'metric, 250 ml',
  imperial: 'imperial, 284 ml',
  japan: 'Japan and Korea, 200 ml',
  china: 'China and Taiwan, 240 ml',
}

const span = ({ low, high }: { low: number; high: number }, decimals: number) =>
  `${formatNumber(low, decimals)} to ${formatNumber(high, decimals)}`

/** Grams for one person; a guide's portion where the sheet counts otherwise. */
function perPerson(worked: Worked) {
  const { batch, portionG, guideG, usableG } = worked
  const people = usableG / (portionG ?? guideG)
  return { flourG: batch.flourG / people, waterG: pouredG(worked) / people }
}

function ByParts({ worked }: { worked: Worked }) {
  const { attempt, done } = useSheet()
  const now = partsOf(onRule(worked))
  const [flour, setFlour] = useState(now.flour)
  const [water, setWater] = useState(now.water)
  const take = (nextFlour: number, nextWater: number) => {
    setFlour(nextFlour)
    setWater(nextWater)
    return attempt(setOnRule(worked, percentOfParts(nextFlour, nextWater)), 'parts')
  }
  const field = (label: string, value: number, change: (value: number) => ReturnType<typeof take>) => (
    <QuantityField
      label={label}
      shown={formatNumber(value, value % 1 === 0 ? 0 : 1)}
      unit="count"
      min={0.1}
      max={1000}
      widthCh={4}
      className="text-2xl font-semibold"
      onChange={change}
      onDone={done}
    />
  )
  return (
    <Line name="parts of flour to water, by weight">
      {field('Parts of flour', flour, (value) => take(value, water))} to{' '}
      {field('Parts of water', water, (value) => take(flour, value))}
    </Line>
  )
}

function ByCups({ worked }: { worked: Worked }) {
  const { attempt, done } = useSheet()
  const { units, volume } = useUnits()
  const [region, setRegion] = useState<CupRegion>(units.cup)
  const [flourCups, setFlourCups] = useState(2)
  const [waterCups, setWaterCups] = useState(1)
  const flour = worked.rows.find((row) => row.part === 'flour')?.ingredient
  if (!flour) return null
  const ml = CUP_ML[region]
  const waterG = pouredG(worked)
  const typed = percentOfCups(flourCups, waterCups, flour, ml)
  return (
    <DrawerSection
      title="By the cup"
      lead="A cup of flour is a habit, not a measure: the span is from spooned and levelled to scooped and shaken. Weigh where you can."
    >
      <label className="mb-2 block text-base">
        <span className="small">Cup of </span>
        <Choice
          label="Cup of"
          className="field"
          value={region}
          options={cupRegions.map((each) => [each, regionWords[each]] as const)}
          onChange={(chosen) => setRegion(chosen as CupRegion)}
        />
      </label>
      <Line name="flour of this sheet">{span(cupsOf(worked.batch.flourG, flour, ml), 1)} cups</Line>
      <Line name="water of this sheet">
        {formatNumber(waterG / ml, 2)} cups{units.volume === 'ml' && `, ${volume(waterG)}`}
      </Line>
      <Line name="a recipe of">
        <QuantityField
          label="Cups of flour"
          shown={formatNumber(flourCups, flourCups % 1 === 0 ? 0 : 2)}
          unit="count"
          min={0.05}
          max={1000}
          widthCh={4}
          onChange={setFlourCups}
        />{' '}
        flour,{' '}
        <QuantityField
          label="Cups of water"
          shown={formatNumber(waterCups, waterCups % 1 === 0 ? 0 : 2)}
          unit="count"
          min={0.05}
          max={1000}
          widthCh={4}
          onChange={setWaterCups}
        />{' '}
        water
      </Line>
      <Line name="comes to">
        {span(typed, 0)} %, likely {formatNumber(typed.best, 0)}
      </Line>
      <button
        type="button"
        className="quiet mt-2"
        onClick={() => {
          attempt(setOnRule(worked, typed.best), 'cups')
          done()
        }}
      >
        Set the sheet to {formatNumber(typed.best, 0)} %
      </button>
    </DrawerSection>
  )
}

export default function Sayings({ worked, onClose }: DrawerProps) {
  const { attempt, done } = useSheet()
  const { mass } = useUnits()
  const value = onRule(worked)
  const person = perPerson(worked)
  const set = (percent: number, gesture: string) => attempt(setOnRule(worked, percent), gesture)
  return (
    <SidePanel title="Hydration in other words" onClose={onClose}>
      <p className="mb-3 leading-snug">All of these are the same dough. Type over any of them.</p>
      <FigureLine
        name="percent of the flour"
        label="Percent of the flour"
        shown={formatPercent(value)}
        unit="%"
        min={1}
        max={200}
        widthCh={5}
        className="text-2xl font-semibold"
        onChange={(percent) => set(percent, 'say-percent')}
        onDone={done}
        after="%"
      />
      <FigureLine
        name="flour divided by"
        label="Flour divided by"
        shown={formatNumber(divisorOf(value), 2)}
        unit="count"
        min={0.5}
        max={100}
        widthCh={5}
        className="text-2xl font-semibold"
        onChange={(divisor) => set(percentOfDivisor(divisor), 'say-divisor')}
        onDone={done}
      />
      <ByParts worked={worked} />
      <Line name="for one person">
        {mass(person.flourG)} flour, {mass(person.waterG)} water
      </Line>
      <ByCups worked={worked} />
    </SidePanel>
  )
}
