/** The stations as pages: each comes as a file of its own when it is first opened, or before, where it is known that it will be. */
import { lazy, useState, type ComponentType } from 'react'
import { stationRows, type Station, type StationRow } from '../stations/index.ts'

interface StationPage extends StationRow {
  readonly station: Station
  /** Fetches it; once it is there it is drawn without a wait. */
  bring(): Promise<unknown>
  readonly Page: ComponentType
}

function coming(load: StationRow['load']): Pick<StationPage, 'bring' | 'Page'> {
  let here: ComponentType | null = null
  const bring = async () => {
    const loaded = await load()
    here = loaded.default
    return loaded
  }
  const Later = lazy(bring)
  return {
    bring,
    Page: function Page() {
      // What it was drawn as it stays: another component in its place would forget what was typed.
      const [Station] = useState(() => here ?? Later)
      return <Station />
    },
  }
}

/** In the order of the work. */
export const stations: readonly StationPage[] = Object.entries(stationRows).map(([station, row]) => ({
  ...row,
  ...coming(row.load),
  station: station as Station,
}))

/** The station at an address; an address of none leads to the sheet. */
export const stationAt = (path: string): StationPage =>
  stations.find(({ station }) => station === path.split('/')[1]) ?? stations[0]!
