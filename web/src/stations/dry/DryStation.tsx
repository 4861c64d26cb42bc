/** The rack: trays that dry, the scale that says how far, and when each may be packed. */
import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import { useNow } from '#web/ui/useNow.ts'
import { BatchStrip } from '#web/ui/BatchStrip.tsx'
import { FindButton } from '#web/ui/FindButton.tsx'
import { usePageTitle } from '#web/ui/pageTitle.ts'
import { capital, wetWords } from '#web/words/index.ts'
import { LayOut } from './LayOut.tsx'
import { unlaidG, useRack } from './rack.ts'
import { TrayList } from './TrayList.tsx'
import { TrayPage } from './TrayPage.tsx'
import { useUnits } from '#web/ui/units.ts'

function Refused({ refused }: Pick<ReturnType<typeof useRack>, 'refused'>) {
  if (refused.length === 0) return null
  return (
    <section aria-label="Not for the rack" className="mt-4 border-l-5 border-danger pl-3">
      <h2 className="head text-md">Not for the rack</h2>
      <ul>
        {refused.map(({ running, keeps }) => (
          <li key={running.batch.id} className="small leading-snug">
            {running.batch.plan.sheet.name}: {capital(wetWords(keeps) ?? '')}. Never dried in room air: pot, fridge or
            freezer.
          </li>
        ))}
      </ul>
    </section>
  )
}

function Empty() {
  return (
    <div className="m-auto max-w-md py-16 text-center">
      <h1 className="head mb-3 text-4xl">Nothing on the rack</h1>
      <p className="mb-6">
        A batch comes here from the bench: made, it may go on the rack, if it is flour, water and salt. Its trays would
        stand here, with what they will weigh when they are dry, and when.
      </p>
      <Link to="/bench" className="quiet font-semibold">
        To the bench
      </Link>
    </div>
  )
}

export default function DryStation() {
  const { trayId } = useParams()
  const { trays, toLayOut, refused } = useRack()
  const { mass } = useUnits()
  const quick = trays.some(({ tray }) => tray.pace !== 1 && !tray.end)
  const nowMs = useNow(quick ? 1000 : 20_000)
  const laying = toLayOut.find(({ batch }) => `new-${batch.id}` === trayId)
  const chosen = useMemo(
    () =>
      laying
        ? undefined
        : (trays.find(({ tray }) => tray.id === trayId) ?? trays.find(({ tray }) => !tray.end) ?? trays[0]),
    [trays, trayId, laying],
  )
  const layOut = laying ?? (chosen ? undefined : toLayOut[0])
  usePageTitle(chosen ? `${chosen.tray.name}, ${chosen.running.batch.plan.sheet.name}` : undefined, 'Dry')
  return (
    <>
      <BatchStrip>
        <FindButton />
      </BatchStrip>
      <main
        id="work"
        className="relative flex min-h-0 flex-1 flex-col overflow-y-auto bg-sheet px-4 py-3 md:px-6.5 lg:overflow-hidden"
      >
        {trays.length === 0 && toLayOut.length === 0 ? (
          <>
            <Empty />
            <Refused refused={refused} />
          </>
        ) : (
          <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 lg:min-h-0 lg:flex-1 lg:grid-cols-[15.5rem_minmax(0,1fr)] lg:grid-rows-[minmax(0,1fr)]">
            <section
              aria-label="Trays"
              tabIndex={0}
              className={`lg:min-h-0 lg:overflow-y-auto ${trayId === undefined ? '' : 'max-lg:order-2'}`}
            >
              <TrayList trays={trays} chosen={chosen?.tray.id} nowMs={nowMs} />
              {toLayOut.map((running) => (
                <Link
                  key={running.batch.id}
                  to={`/dry/new-${running.batch.id}`}
                  className="quiet mt-2 block min-h-11 py-2 font-semibold"
                >
                  Lay out {mass(unlaidG(running))} of {running.batch.plan.sheet.name}
                </Link>
              ))}
              <Refused refused={refused} />
            </section>
            <div className="lg:min-h-0 lg:overflow-y-auto" tabIndex={0} role="region" aria-label="The tray">
              {layOut && <LayOut key={layOut.batch.id} running={layOut} />}
              {chosen && <TrayPage key={chosen.tray.id} {...chosen} nowMs={nowMs} />}
            </div>
          </div>
        )}
      </main>
    </>
  )
}
