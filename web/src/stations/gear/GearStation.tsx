import type { Kitchen } from '@harina/core'
import type { ComponentType } from 'react'
import { useLocation } from 'react-router'
import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { usePageTitle } from '../../ui/pageTitle.ts'
import { ViewLinks } from '../../ui/ViewLinks.tsx'
import { redoGear, undoGear, useGearHistory } from '../../state/gearHistory.ts'
import { useKitchen } from '../../state/select.ts'
import { Files } from './Files.tsx'
import { Ingredients } from './Ingredients.tsx'
import { Lots } from './Lots.tsx'
import { Presses } from './Presses.tsx'
import { Rollers } from './Rollers.tsx'
import { ScaleChecks } from './ScaleChecks.tsx'
import { PartList } from './PartList.tsx'
import { Places } from './Places.tsx'
import { Heat, Tools } from './Tools.tsx'
import { ThisDevice } from './ThisDevice.tsx'
import { Portions, UnitsUsed, Ways } from './Ways.tsx'

type Shelf = ComponentType<{ kitchen: Kitchen }>

const Bench: Shelf = ({ kitchen: { gear } }) => (
  <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-3">
    <div className="flex flex-col gap-6">
      <Tools gear={gear} />
      <Heat gear={gear} />
    </div>
    <div className="flex flex-col gap-6">
      <Places gear={gear} />
      <PartList part="pot" gear={gear} large />
    </div>
    <div className="flex flex-col gap-6">
      <ScaleChecks gear={gear} />
      <PartList part="vessel" gear={gear} large />
    </div>
  </div>
)

const Machines: Shelf = ({ kitchen: { gear } }) => (
  <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-2">
    <Rollers gear={gear} />
    <div className="flex flex-col gap-6">
      <Presses gear={gear} />
      <PartList part="cover" gear={gear} large />
    </div>
  </div>
)

const Sacks: Shelf = ({ kitchen }) => (
  <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,2.3fr)_minmax(0,1fr)]">
    <Lots kitchen={kitchen} />
    <Ingredients kitchen={kitchen} />
  </div>
)

const HowIWork: Shelf = ({ kitchen }) => (
  <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[1.1fr_1fr]">
    <Ways kitchen={kitchen} />
    <div className="flex flex-col gap-3">
      <UnitsUsed gear={kitchen.gear} />
      <Portions gear={kitchen.gear} />
    </div>
  </div>
)

const FilesAndDevice: Shelf = () => (
  <div className="grid grid-cols-1 gap-x-10 gap-y-6 lg:grid-cols-[1fr_1fr_1fr]">
    <Files />
    <ThisDevice />
  </div>
)

const shelves: readonly { readonly to: string; readonly name: string; readonly Shelf: Shelf }[] = [
  { to: '/gear', name: 'Scale, places and pots', Shelf: Bench },
  { to: '/gear/machines', name: 'Rollers and presses', Shelf: Machines },
  { to: '/gear/sacks', name: 'Sacks and jars', Shelf: Sacks },
  { to: '/gear/ways', name: 'How I work', Shelf: HowIWork },
  { to: '/gear/files', name: 'Files and device', Shelf: FilesAndDevice },
]

function Undo() {
  const { canUndo, canRedo } = useGearHistory()
  return (
    <p className="ml-auto flex gap-4 text-label">
      <button type="button" className="quiet min-h-9" disabled={!canUndo} onClick={undoGear}>
        Undo <span className="key max-md:hidden">Ctrl Z</span>
      </button>
      <button type="button" className="quiet min-h-9" disabled={!canRedo} onClick={redoGear}>
        Redo
      </button>
    </p>
  )
}

export default function GearStation() {
  const kitchen = useKitchen()
  const { pathname } = useLocation()
  const { Shelf, name } = shelves.find(({ to }) => to === pathname) ?? { Shelf: Bench, name: undefined }
  usePageTitle(name, 'Gear')
  return (
    <>
      <BatchStrip>
        <FindButton />
      </BatchStrip>
      <main id="work" className="relative min-h-0 flex-1 overflow-y-auto bg-sheet px-4 py-3 md:px-6.5">
        <h1 className="sr-only">Gear</h1>
        <div className="flex flex-wrap items-baseline gap-x-6">
          <div className="w-full min-w-0 md:w-auto md:flex-1">
            <ViewLinks label="Shelves" views={shelves} />
          </div>
          <Undo />
        </div>
        {kitchen && <Shelf kitchen={kitchen} />}
      </main>
    </>
  )
}
