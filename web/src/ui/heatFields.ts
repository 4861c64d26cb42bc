/** What the water is reckoned with, kept in Gear; the same three figures stand there and in the drawer that uses them. */
import { formatNumber, type Gear } from '@harina/core'
import { setGear } from '../state/gear.ts'
import type { Worded } from '../words/index.ts'

export const heatFields = (gear: Gear, { temperatureFigure }: Worded) => ({
  tap: {
    label: 'Water from the tap',
    shown: temperatureFigure(gear.tapC),
    unit: '°C' as const,
    min: 0,
    max: 40,
    widthCh: 4,
    onChange: (tapC: number) => void setGear({ tapC }),
  },
  friction: {
    label: 'Kneading warms a dough by, degrees Celsius',
    shown: formatNumber(gear.frictionC, 1),
    unit: 'count' as const,
    min: 0,
    max: 30,
    widthCh: 5,
    onChange: (frictionC: number) => void setGear({ frictionC }),
  },
  height: {
    label: 'Height above the sea, metres',
    shown: formatNumber(gear.altitudeM, 0),
    unit: 'count' as const,
    min: -100,
    max: 5000,
    widthCh: 6,
    onChange: (altitudeM: number) => void setGear({ altitudeM }),
  },
})
