/** Eggs out and replacer in, by the ratio on its pack; and back. */
import {
  computeSheet,
  formatNumber,
  formatPercent,
  onRule,
  USUAL_PACK,
  withEggs,
  withoutEggs,
  type EggPack,
  type EggSwap as Swap,
  type Worked,
} from '@harina/core'
import { useState } from 'react'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useUnits } from '#web/ui/units.ts'
import { counted } from '#web/words/index.ts'
import { useSheet } from '../useSheet.ts'
import type { DrawerProps } from '../drawerProps.ts'
import { DrawerSection, FigureLine, Line } from './parts.tsx'

const PACK = [
  ['powderG', 'replacer powder'],
  ['waterG', 'water'],
  ['oilG', 'oil'],
] as const satisfies readonly (readonly [keyof EggPack, string])[]

const eggsWords = (eggs: number): string => {
  const halves = Math.round(eggs * 2) / 2
  return halves % 1 === 0 ? counted(Math.max(1, halves), 'egg') : `${formatNumber(halves, 1)} eggs`
}

function Result({
  swap,
  back,
  worked,
  kitchen,
}: { swap: Swap; back: boolean } & Pick<DrawerProps, 'worked' | 'kitchen'>) {
  const { edit } = useSheet()
  const { mass } = useUnits()
  const after = computeSheet(swap.sheet, kitchen)
  const reading = (of: Worked) => `${formatPercent(onRule(of))} %`
  const parts = `${mass(swap.powderG, 0.1)} of powder, ${mass(swap.waterG)} of water and ${mass(swap.oilG, 0.1)} of oil`
  return (
    <DrawerSection title={back ? `${eggsWords(swap.eggs)} back in` : `${eggsWords(swap.eggs)} out`}>
      <p className="leading-snug">{back ? `In place of ${parts}.` : `In their place ${parts}.`}</p>
      {after.ok && (
        <Line name={worked.control.by === 'base' ? 'flour on the base' : 'hydration'}>
          {reading(worked)} → {reading(after.value)}
        </Line>
      )}
      <button type="button" className="action mt-4" disabled={!after.ok} onClick={() => edit(() => swap.sheet)}>
        {back ? `Put ${eggsWords(swap.eggs)} in` : 'Take the eggs out'}
      </button>
    </DrawerSection>
  )
}

export default function EggSwap({ worked, kitchen, onClose }: DrawerProps) {
  const { massFigure, units } = useUnits()
  const [pack, setPack] = useState<EggPack>(USUAL_PACK)
  const out = withoutEggs(worked, units.egg, pack)
  const back = withEggs(worked, units.egg, pack)
  return (
    <SidePanel title="Egg and no egg" onClose={onClose}>
      <DrawerSection title="What stands for one egg" lead="Go by the pack: starch types differ a lot.">
        {PACK.map(([key, name]) => (
          <FigureLine
            key={key}
            name={name}
            shown={massFigure(pack[key], 0.1)}
            unit="g"
            min={key === 'powderG' ? 0.5 : 0}
            max={200}
            after={units.mass}
            onChange={(grams) => setPack({ ...pack, [key]: grams })}
          />
        ))}
      </DrawerSection>
      {out && <Result swap={out} back={false} worked={worked} kitchen={kitchen} />}
      {back && <Result swap={back} back worked={worked} kitchen={kitchen} />}
      {!out && !back && <p className="leading-snug">This sheet has no egg and no replacer.</p>}
      <p className="small leading-snug">
        Replacer binds less than egg and sets later: feel the dough, and cook one piece first. Read the pack for
        allergens, which are others than egg’s.
      </p>
    </SidePanel>
  )
}
