/** One shape in full: the piece, how it is made, what the batch comes to at the board, its doughs, and the plate. */
import {
  formatPercent,
  setOnRule,
  shapeShares,
  tableReading,
  toPoured,
  toldAsMade,
  toldBy,
  type Kitchen,
  type ShapeShare,
  type Worked,
} from '@harina/core'
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react'
import { useMemo, useState } from 'react'
import { sheetEdited } from '../../state/draftSlice.ts'
import { useAppDispatch } from '../../state/store.ts'
import { ShapeEngraving } from '../../ui/ShapeEngraving.tsx'
import { AtTheBoard } from './board/AtTheBoard.tsx'
import { PieceFigures } from './board/PieceFigures.tsx'
import { SeveralShapes } from './board/SeveralShapes.tsx'
import { Construction } from './Construction.tsx'
import { ItsDoughs } from './ItsDoughs.tsx'
import { How, ToolsAndTroubles } from './Making.tsx'
import { OwnShapePanel } from './OwnShape.tsx'
import { ToThePlate } from './ToThePlate.tsx'
import { difficultyWords, groupWords, matchWords } from '../../words/index.ts'
import { problemTold } from '#web/ui/units.ts'

/** The smallest change that brings the dough to where the shape likes it. */
function BringIn({ worked }: { worked: Worked }) {
  const dispatch = useAppDispatch()
  const { match, poured, lot, flourShift, control } = worked
  if (match.grade === 'in') return null
  const wanted = tableReading(worked) - match.outsideBy
  const to = control.by === 'base' ? wanted : toPoured(poured, wanted + lot.shift + flourShift)
  const next = setOnRule(worked, to)
  return (
    <button
      type="button"
      className="quiet font-semibold"
      disabled={!next.ok}
      onClick={() => next.ok && dispatch(sheetEdited({ sheet: next.value }))}
    >
      Bring the {control.by === 'base' ? 'flour' : 'water'} to {formatPercent(to)} %
    </button>
  )
}

const tabs = ['Piece', 'Tools and troubles', 'At the board', 'Its doughs', 'To the plate'] as const

function Piece({ worked, main }: { worked: Worked; main: ShapeShare }) {
  return (
    <div className="flex flex-col gap-3">
      <div className="grid items-center gap-x-6 gap-y-3 border-b border-line pb-3 md:grid-cols-[minmax(0,290px)_minmax(0,1fr)]">
        <ShapeEngraving shape={worked.shape} width={290} height={200} withScale />
        <Construction shape={worked.shape} blank={worked.cut.blank} family={worked.dough.family} />
      </div>
      <PieceFigures part={main} worked={worked} />
      <div className="border-t border-line pt-2">
        <How shape={toldAsMade(toldBy(worked.shape, worked.practice.sets), worked.cut.blank)} />
      </div>
    </div>
  )
}

interface Props {
  readonly worked: Worked
  readonly kitchen: Kitchen
  /** Only looked at: what would change the sheet is left out. */
  readonly looking?: boolean
}

export function ChosenShape({ worked, kitchen, looking = false }: Props) {
  const { shape, match, control } = worked
  const [own, setOwn] = useState(false)
  const parts = useMemo(() => shapeShares(worked, kitchen), [worked, kitchen])
  const alone: ShapeShare = { shape, doughG: worked.usableG, cut: worked.cut, match }
  const all = parts.ok ? parts.value : [alone]
  return (
    <div className="flex min-w-0 flex-col gap-2">
      <div>
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h1 className="head text-4xl leading-tight">{shape.name}</h1>
          <p className="small">
            {[shape.otherNames.join(', '), shape.origin, groupWords[shape.group], difficultyWords[shape.difficulty]]
              .filter(Boolean)
              .join('; ')}
          </p>
          {!looking && (
            <button type="button" className="quiet ml-auto text-label" onClick={() => setOwn(true)}>
              Make it your own
            </button>
          )}
        </div>
        <p className="text-md" role="status">
          {matchWords(match, control.by === 'base')} {!looking && <BringIn worked={worked} />}
        </p>
      </div>
      <TabGroup>
        <TabList className="flex gap-x-5 overflow-x-auto border-b border-line">
          {(looking ? tabs.filter((name) => name !== 'At the board') : tabs).map((name) => (
            <Tab
              key={name}
              className="min-h-9 border-b-3 border-transparent px-1 -outline-offset-4 whitespace-nowrap text-second data-selected:border-family data-selected:font-semibold data-selected:text-ink"
            >
              {name}
              {name === 'At the board' && all.length > 1 && ` (${all.length} shapes)`}
            </Tab>
          ))}
        </TabList>
        <TabPanels className="pt-2">
          <TabPanel tabIndex={-1}>
            <Piece worked={worked} main={all[0] ?? alone} />
          </TabPanel>
          <TabPanel tabIndex={-1}>
            <ToolsAndTroubles shape={toldBy(shape, worked.practice.sets)} />
          </TabPanel>
          {!looking && (
            <TabPanel tabIndex={-1}>
              {!parts.ok && (
                <p role="alert" className="mb-2 border-l-5 border-danger p-2">
                  {problemTold(parts.problem)}
                </p>
              )}
              <SeveralShapes worked={worked} parts={all} kitchen={kitchen} />
              {all.map((part) => (
                <AtTheBoard key={part.shape.id} part={part} worked={worked} kitchen={kitchen} titled={all.length > 1} />
              ))}
            </TabPanel>
          )}
          <TabPanel tabIndex={-1}>
            <ItsDoughs worked={worked} kitchen={kitchen} />
          </TabPanel>
          <TabPanel tabIndex={-1}>
            <ToThePlate shape={shape} worked={worked} />
          </TabPanel>
        </TabPanels>
      </TabGroup>
      {own && <OwnShapePanel worked={worked} onClose={() => setOwn(false)} />}
    </div>
  )
}
