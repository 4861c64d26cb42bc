/** What the water is reckoned with, kept in Gear; the same three figures stand there and in the drawer that uses them. */
import { formatNumber, MM_PER_INCH, type Gear, type Units } from '@harina/core'
import { setGear } from '../state/gear.ts'
import { unitName, type Worded } from '../words/index.ts'

/** A difference of a degree, and a metre of height, as this maker counts them. */
const perDegree = ({ temperature }: Units) => (temperature === '°C' ? 1 : 1.8)
const perMetre = ({ length }: Units) => (length === 'mm' ? 1 : 1000 / MM_PER_INCH / 12)

export const heatFields = (gear: Gear, { temperatureFigure, units }: Worded) => ({
  heightUnit: units.length === 'mm' ? 'm' : 'ft',
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
    label: `Kneading warms a dough by, ${unitName(units.temperature)}`,
    shown: formatNumber(gear.frictionC * perDegree(units), 1),
    unit: 'count' as const,
    min: 0,
    max: 30 * perDegree(units),
    widthCh: 5,
    onChange: (degrees: number) => void setGear({ frictionC: degrees / perDegree(units) }),
  },
  height: {
    label: `Height above the sea, ${units.length === 'mm' ? 'metres' : 'feet'}`,
    shown: formatNumber(gear.altitudeM * perMetre(units), 0),
    unit: 'count' as const,
    min: Math.ceil(-100 * perMetre(units)),
    max: Math.floor(5000 * perMetre(units)),
    widthCh: 6,
    onChange: (height: number) => void setGear({ altitudeM: height / perMetre(units) }),
  },
})
