/** Blends from the sacks at hand: exact, with the reason, and put on the sheet in one press. */
import { Radio, RadioGroup } from '@headlessui/react'
import { RadioMark } from '#web/ui/RadioMark.tsx'
import {
  formatNumber,
  formatPercent,
  needsOf,
  proposeBlend,
  sacksOf,
  withBlend,
  type Aim,
  type Blend,
  type Result,
} from '@harina/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { problemTold, useUnits } from '#web/ui/units.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { Line, DrawerSection } from './parts.tsx'
import { solveLinear } from './solveLinear.ts'

const aimWords: Readonly<Record<Aim, string>> = {
  cheapest: 'costs least',
  protein: 'comes nearest to a protein',
  'use-up': 'empties a sack first',
}

interface Asked {
  readonly aim: Aim
  readonly proteinAim: number
  readonly useUp: string
}

function proposal({ worked, kitchen }: Omit<DrawerProps, 'onClose'>, asked: Asked): Result<Blend> {
  const { dough, shape, batch } = worked
  const sacks = sacksOf(kitchen.lots, kitchen.ingredients)
  const needs = needsOf(dough, shape, kitchen.ingredients)
  return proposeBlend({ sacks, flourG: batch.flourG, dough, needs, ...asked }, solveLinear)
}

function Why({ blend, asked, worked, kitchen }: Omit<DrawerProps, 'onClose'> & { blend: Blend; asked: Asked }) {
  const needs = needsOf(worked.dough, worked.shape, kitchen.ingredients)
  const reasons = [
    needs.gluten > 0 &&
      `${worked.shape.name} wants at least ${needs.gluten} % of flour with gluten; this has ${formatNumber(blend.glutenPercent, 0)}`,
    needs.character !== null && `a mixture keeps at least ${needs.character.percent} % of the flour it is named for`,
    needs.protein.high < 100 &&
      `protein from ${needs.protein.low} to ${needs.protein.high} %; this has ${formatPercent(blend.proteinPercent)}`,
    'no sack gives more than it holds, and none more of the flour than is usual for it',
    asked.aim === 'cheapest' && 'and no other blend of these sacks that does all this costs less',
    asked.aim === 'protein' && `and none comes nearer to ${formatPercent(asked.proteinAim)} %`,
    asked.aim === 'use-up' && 'and none takes more of that sack',
  ].filter(Boolean)
  return <p className="mt-2 leading-snug">{reasons.join('; ')}.</p>
}

function Proposal({ blend, asked, worked, kitchen }: Omit<DrawerProps, 'onClose'> & { blend: Blend; asked: Asked }) {
  const { edit } = useSheet()
  const { mass } = useUnits()
  return (
    <DrawerSection title="This blend">
      {blend.shares.map(({ lot, percent }) => (
        <Line key={lot.id} name={lot.name}>
          {formatPercent(percent)} % <span className="font-normal">{mass((percent * worked.batch.flourG) / 100)}</span>
        </Line>
      ))}
      {blend.pricePerKg !== null && <Line name="1 kg of it costs">{formatNumber(blend.pricePerKg, 2)}</Line>}
      <Why blend={blend} asked={asked} worked={worked} kitchen={kitchen} />
      <button type="button" className="action mt-3" onClick={() => edit(() => withBlend(worked, blend))}>
        Use it, and move the water
      </button>
    </DrawerSection>
  )
}

export default function FromStock({ worked, kitchen, onClose }: DrawerProps) {
  const sacks = sacksOf(kitchen.lots, kitchen.ingredients)
  const [asked, setAsked] = useState<Asked>({ aim: 'cheapest', proteinAim: 12, useUp: sacks[0]?.lot.id ?? '' })
  const blend = proposal({ worked, kitchen }, asked)
  const { mass } = useUnits()
  return (
    <SidePanel title="Blend from my sacks" onClose={onClose}>
      <p className="mb-2 leading-snug">
        {mass(worked.batch.flourG)} of flour for {worked.shape.name}, out of{' '}
        {sacks.length === 1 ? 'one sack' : `${sacks.length} sacks`}. What is in a sack is written in{' '}
        <Link to="/gear/sacks" className="underline">
          Gear
        </Link>
        .
      </p>
      <p className="small" aria-hidden="true">
        The blend that
      </p>
      <RadioGroup
        value={asked.aim}
        onChange={(aim) => setAsked({ ...asked, aim })}
        aria-label="The blend that"
        className="mb-3"
      >
        {(Object.keys(aimWords) as Aim[]).map((aim) => (
          <div key={aim} className="flex items-center gap-3">
            <Radio value={aim} className="group flex min-h-10 cursor-pointer items-center gap-3">
              <RadioMark /> {aimWords[aim]}
            </Radio>
            {aim === 'protein' && asked.aim === 'protein' && (
              <span className="figure">
                <QuantityField
                  label="Protein wanted, percent"
                  shown={formatPercent(asked.proteinAim)}
                  unit="%"
                  min={1}
                  max={30}
                  widthCh={5}
                  onChange={(proteinAim) => setAsked((all) => ({ ...all, proteinAim }))}
                />{' '}
                %
              </span>
            )}
            {aim === 'use-up' && asked.aim === 'use-up' && (
              <Choice
                label="Sack to empty first"
                className="field"
                value={asked.useUp}
                options={sacks.map(({ lot }) => [lot.id, lot.name] as const)}
                onChange={(chosen) => setAsked({ ...asked, useUp: chosen })}
              />
            )}
          </div>
        ))}
      </RadioGroup>
      <div aria-live="polite">
        {blend.ok ? (
          <Proposal blend={blend.value} asked={asked} worked={worked} kitchen={kitchen} />
        ) : (
          <p role="alert" className="border-l-5 border-danger pl-3 leading-snug">
            {problemTold(blend.problem)}
          </p>
        )}
      </div>
    </SidePanel>
  )
}
