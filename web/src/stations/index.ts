/** The stations in the order of the work: a new one is its folder and its row here. */
import type { ComponentType } from 'react'
import { atThePot, atTheRack, type TakesBack } from '../state/takeBack.ts'

export interface StationRow {
  readonly name: string
  /** Its address, with what may stand behind its name. */
  readonly path: string
  /** Our own mark, drawn in a square of 24. */
  readonly mark: string
  /** What Ctrl Z takes back there. */
  readonly takesBack: TakesBack
  readonly load: () => Promise<{ readonly default: ComponentType }>
}

export const stationRows = {
  /** A jug with its measure. */
  formula: {
    name: 'Formula',
    path: 'formula',
    mark: 'M6 4H16L18 20H6ZM6 4L4 7M8.5 9H12M8.5 12.5H13.5M8.5 16H12',
    takesBack: 'sheet',
    load: () => import('./formula/FormulaStation.tsx'),
  },
  /** A curled piece. */
  shape: {
    name: 'Shape',
    path: 'shape/:view?',
    mark: 'M3 15C4 7 20 7 21 15C18 19 6 19 3 15ZM3 15C8 12 16 12 21 15',
    takesBack: 'sheet',
    load: () => import('./shape/ShapeStation.tsx'),
  },
  /** A board on trestles. */
  bench: {
    name: 'Bench',
    path: 'bench/:batchId?',
    mark: 'M2 8H22M4 8V20M20 8V20M4 15H20M9 8V5H15V8',
    takesBack: 'batch',
    load: () => import('./bench/BenchStation.tsx'),
  },
  /** Trays on a rack. */
  dry: {
    name: 'Dry',
    path: 'dry/:trayId?',
    mark: 'M4 3V21M20 3V21M4 8H20M4 13.5H20M4 19H20M8 8V6M12 8V6M16 8V6M9 13.5V11.5M15 13.5V11.5',
    takesBack: atTheRack,
    load: () => import('./dry/DryStation.tsx'),
  },
  /** A pot. */
  pot: {
    name: 'Pot',
    path: 'pot',
    mark: 'M5 9V19C5 20 6 21 7 21H17C18 21 19 20 19 19V9ZM3 9H21M2 12H5M19 12H22M9 6C9 4 10 4 10 2M14 6C14 4 15 4 15 2',
    takesBack: atThePot,
    load: () => import('./pot/PotStation.tsx'),
  },
  /** A ruled page. */
  log: {
    name: 'Log',
    path: 'log/:batchId?',
    mark: 'M5 3H19V21H5ZM8 7H16M8 11H16M8 15H12M14 17L16 19',
    takesBack: 'ended',
    load: () => import('./log/LogStation.tsx'),
  },
  /** A beam scale. */
  gear: {
    name: 'Gear',
    path: 'gear/:shelf?',
    mark: 'M12 3V18M6 20H18M4 7H20M4 7L2 13H7L4 7M20 7L17.5 13H22.5L20 7',
    takesBack: 'gear',
    load: () => import('./gear/GearStation.tsx'),
  },
} as const satisfies Readonly<Record<string, StationRow>>

export type Station = keyof typeof stationRows
