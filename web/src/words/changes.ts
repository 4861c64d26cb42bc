import { formatNumber, formatPoints, type SheetChange } from '@harina/core'
import type { Worded } from './units.ts'

/** As many decimals as it needs, two at the most. */
const percent = (value: number) => `${formatNumber(value, value >= 10 ? 1 : 2).replace(/\.?0+$/, '')} %`

type Units = Pick<Worded, 'temperature'>

const changes: {
  readonly [C in SheetChange['code']]: (change: SheetChange & { code: C }, units: Units) => string
} = {
  name: (change) => `called ${change.to}, was ${change.from}`,
  dough: (change) => `${change.to} in place of ${change.from}`,
  shape: (change) => `for ${change.to}, was for ${change.from}`,
  water: (change) =>
    `water ${percent(change.from)} → ${percent(change.to)} (${formatPoints(change.to - change.from)} points)`,
  row: (change) => `${change.ingredient} ${percent(change.from)} → ${percent(change.to)}`,
  'row-in': (change) => `${change.ingredient} put in at ${percent(change.percent)}`,
  'row-out': (change) => `${change.ingredient} taken out, was ${percent(change.percent)}`,
  swap: (change) => `${change.to} in place of ${change.from}`,
  lot: (change) => `${change.ingredient} from ${change.to ?? 'no named sack'}, was ${change.from ?? 'no named sack'}`,
  measured: (change) =>
    change.to === null
      ? `${change.ingredient} by the table again`
      : `${change.ingredient} measured at ${percent(100 * change.to)} water`,
  loss: (change) => `loss ${percent(change.from)} → ${percent(change.to)}`,
  heat: (change, { temperature }) =>
    change.to === null ? 'heat of the water by the school' : `water at ${temperature(change.to)}`,
  school: (change) => `another school on ${change.topic.replace('-', ' ')}`,
  amount: () => 'another amount',
  place: () => 'flour from another place',
  note: () => 'another note',
  learned: () => 'with or without what the flour taught',
  vessel: () => 'another vessel',
}

/** One change between two sheets, as a maker would say it. */
export const changeWords = (change: SheetChange, units: Units): string =>
  (changes[change.code] as (change: SheetChange, units: Units) => string)(change, units)
