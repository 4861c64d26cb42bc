/** How warm the water must be for a wanted dough, in this flour, this room and by this hand or mixer. */
import {
  boilingPointC,
  isHotMade,
  kneadedC,
  scald,
  STICK_C,
  twoJugs,
  usualDoughC,
  warmsBy,
  waterTemperature,
} from '@harina/core/heat'
import { placeOf, pouredG, type Kitchen, type Worked } from '@harina/core'
import { useState } from 'react'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { heatFields } from '#web/ui/heatFields.ts'
import { useUnits } from '#web/ui/units.ts'
import { workerWords } from '#web/words/index.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { Caution, FigureLine, Line, DrawerSection } from './parts.tsx'

function Temperature({
  label,
  value,
  min = -10,
  max = 100,
  onChange,
}: {
  label: string
  value: number
  min?: number
  max?: number
  onChange: (celsius: number) => void
}) {
  const { units, temperatureFigure } = useUnits()
  return (
    <FigureLine
      name={label}
      label={label}
      shown={temperatureFigure(value, 0)}
      unit="°C"
      min={min}
      max={max}
      widthCh={5}
      onChange={onChange}
      after={units.temperature}
    />
  )
}

/** All that is mixed with the water, and how far whoever works it warms it. */
function mixedOf(worked: Worked, kitchen: Kitchen, flourC: number) {
  const { batch, rows, flourMoisture, practice } = worked
  const others = rows
    .filter((row) => row.part === 'other' || row.part === 'salt' || row.part === 'alkali')
    .map((row) => ({ grams: row.grams, celsius: flourC, water: row.water, fat: row.ingredient.fat }))
  const frictionC = warmsBy(kitchen.gear, practice.kneads)
  return { flourG: batch.flourG, flourC, flourMoisture, waterG: pouredG(worked), others, frictionC }
}

/** The dough that the sheet's own water makes, so that desk, sheet and bench say one figure; else what is usual. */
function sheetsDoughC(worked: Worked, kitchen: Kitchen, flourC: number): number {
  const { practice, dough } = worked
  if (practice.waterC === null || pouredG(worked) <= 0) return usualDoughC(dough.family === 'batter')
  return kneadedC(mixedOf(worked, kitchen, flourC), practice.waterC)
}

function Answer({
  worked,
  kitchen,
  targetC,
  flourC,
}: Omit<DrawerProps, 'onClose'> & { targetC: number; flourC: number }) {
  const { edit } = useSheet()
  const { temperature, mass } = useUnits()
  const { scaleStepG: step, tapC, altitudeM } = kitchen.gear
  const mixed = mixedOf(worked, kitchen, flourC)
  const { flourG, flourMoisture, waterG } = mixed
  const answer = waterTemperature({ ...mixed, targetC, altitudeM, tapC, iceC: -10 })
  const boilC = boilingPointC(altitudeM)
  const hotC = boilC
  const jugs = answer.feasible ? twoJugs(waterG, answer.waterC, tapC, hotC) : null
  const scalded = scald({ flourG, flourC, flourMoisture, waterG, waterC: boilC })
  return (
    <>
      <div aria-live="polite">
        {answer.feasible ? (
          <>
            <p className="mt-2">the water must be</p>
            <p className="figure text-5xl leading-none font-semibold">{temperature(answer.waterC)}</p>
            <button
              type="button"
              className="quiet mt-2"
              onClick={() => edit((sheet) => ({ ...sheet, waterC: Math.round(answer.waterC) }))}
            >
              Write it on the sheet
            </button>
          </>
        ) : (
          <p role="alert" className="mt-2 border-l-5 border-danger pl-3 leading-snug">
            Water alone cannot do it: it would have to be {temperature(answer.waterC)}.{' '}
            {answer.reachableC !== undefined && `The nearest dough it can make is ${temperature(answer.reachableC)}. `}
            {answer.waterC < 0
              ? 'Cool the flour, or put ice in.'
              : 'Warm the flour, or take it as it comes and rest it somewhere warm.'}
          </p>
        )}
      </div>
      {answer.iceG !== undefined && answer.iceG <= waterG && (
        <DrawerSection
          title="The tap is too warm for that"
          lead="Ice stands in for part of the water; weigh it as water and let none of it reach the dough unmelted."
        >
          <Line name="ice">{mass(answer.iceG, step)}</Line>
          <Line name="from the tap">{mass(waterG - answer.iceG, step)}</Line>
        </DrawerSection>
      )}
      {jugs?.ok && answer.waterC > tapC && (
        <DrawerSection
          title="From two jugs"
          lead={`Tap at ${temperature(tapC)} and a kettle off the boil at ${temperature(hotC)}, here.`}
        >
          <Line name="from the tap">{mass(jugs.value.coldG, step)}</Line>
          <Line name="from the kettle">{mass(jugs.value.hotG, step)}</Line>
        </DrawerSection>
      )}
      <DrawerSection title="If it is scalded instead" lead="Boiling water straight onto the flour.">
        <Line name="the dough lands at">{temperature(scalded.doughC)}</Line>
        <p className="small mt-1 leading-snug">
          {scalded.starchGels
            ? 'Hot enough for its starch to set: soft, and it will not spring back.'
            : scalded.doughC >= 55
              ? `Starch begins to swell from ${temperature(55)} to ${temperature(60)}, and sets from about ${temperature(65)}: partly cooked.`
              : `Below ${temperature(55)} its starch stays raw: warm, not scalded.`}
        </p>
      </DrawerSection>
    </>
  )
}

export default function WaterHeat({ worked, kitchen, onClose }: DrawerProps) {
  const words = useUnits()
  const fields = heatFields(kitchen.gear, words)
  const { gear } = kitchen
  const [flourC, setFlourC] = useState(placeOf(worked.sheet, gear)?.temperatureC ?? 20)
  const [targetC, setTargetC] = useState(() => sheetsDoughC(worked, kitchen, flourC))
  return (
    <SidePanel title="Heat of the water" onClose={onClose}>
      {isHotMade(targetC) && (
        <Caution title="Hot water and hot dough">
          Stir with a stick until the dough is below {words.temperature(STICK_C)}. Steam burns as well as water does.
        </Caution>
      )}
      <Temperature label="wanted dough" value={targetC} min={0} max={90} onChange={setTargetC} />
      <Temperature label="flour" value={flourC} onChange={setFlourC} />
      <FigureLine name="water from the tap" {...fields.tap} after={words.units.temperature} />
      {worked.practice.kneads === gear.kneads ? (
        <FigureLine name="kneading warms it by" {...fields.friction} after={words.units.temperature} />
      ) : (
        <Line name={`kneading ${workerWords[worked.practice.kneads]} warms it by`}>
          {words.degrees(warmsBy(gear, worked.practice.kneads))} degrees
        </Line>
      )}
      <FigureLine name="height above the sea" {...fields.height} after={fields.heightUnit} />
      <p className="small">Water boils here at {words.temperature(boilingPointC(gear.altitudeM), 1)}.</p>
      {pouredG(worked) > 0 ? (
        <Answer worked={worked} kitchen={kitchen} targetC={targetC} flourC={flourC} />
      ) : (
        <p className="mt-2 leading-snug">
          No water is poured into this dough, so no heat of it can warm or cool it. It comes out as warm as its flour
          and what else goes in: let them stand where they should come to.
        </p>
      )}
    </SidePanel>
  )
}
