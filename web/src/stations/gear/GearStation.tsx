import { BatchStrip } from '../../ui/BatchStrip.tsx'
import { FindButton } from '../../ui/FindButton.tsx'
import { useKitchen } from '../../ui/kitchen.tsx'
import { Files } from './Files.tsx'
import { Flours } from './Flours.tsx'
import { Places, Tools } from './Tools.tsx'
import { ThisDevice } from './ThisDevice.tsx'

export default function GearStation() {
  const kitchen = useKitchen()
  return (
    <>
      <BatchStrip>
        <FindButton />
      </BatchStrip>
      <main id="work" className="min-h-0 flex-1 overflow-y-auto bg-sheet px-4 py-4 md:px-[26px]">
        <h1 className="sr-only">Gear</h1>
        {kitchen && (
          <div className="grid grid-cols-1 gap-x-10 gap-y-7 lg:grid-cols-[1fr_1.15fr_1fr]">
            <div className="flex flex-col gap-7">
              <Tools gear={kitchen.gear} />
              <Places gear={kitchen.gear} />
            </div>
            <Flours kitchen={kitchen} />
            <div className="flex flex-col gap-7">
              <Files />
              <ThisDevice />
            </div>
          </div>
        )}
      </main>
    </>
  )
}
