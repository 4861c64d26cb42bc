/** The stations: each comes as a file of its own when it is first opened, or before, where it is known that it will be. */
import { lazy, useState, type ComponentType } from 'react'

interface Coming {
  /** Fetches it; once it is there it is drawn without a wait. */
  bring(): Promise<unknown>
  readonly Page: ComponentType
}

function coming(load: () => Promise<{ default: ComponentType }>): Coming {
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

export const stations = {
  formula: coming(() => import('../stations/formula/FormulaStation.tsx')),
  shape: coming(() => import('../stations/shape/ShapeStation.tsx')),
  bench: coming(() => import('../stations/bench/BenchStation.tsx')),
  dry: coming(() => import('../stations/dry/DryStation.tsx')),
  pot: coming(() => import('../stations/pot/PotStation.tsx')),
  log: coming(() => import('../stations/log/LogStation.tsx')),
  gear: coming(() => import('../stations/gear/GearStation.tsx')),
} as const

const names = Object.keys(stations) as readonly (keyof typeof stations)[]

/** The station at an address; an address of none leads to the sheet. */
export const stationAt = (path: string): keyof typeof stations =>
  names.find((name) => name === path.split('/')[1]) ?? 'formula'
