import { formatNumber, formatPoints, type SheetChange } from '@harina/core'
import type { Worded } from './units.ts'

/** As many decimals as it needs, two at the most. */
const percent = (value: number) => `${formatNumber(value, value >= 10 ? 1 : 2).replace(/\.?0+$/, '')} %`

/** One change between two sheets, as a maker would say it. */
export function changeWords(change: SheetChange, { temperature }: Pick<Worded, 'temperature'>): string {
  switch (change.code) {
    case 'name':
      return `called ${change.to}, was ${change.from}`
    case 'dough':
      return `${change.to} in place of ${change.from}`
    case 'shape':
      return `for ${change.to}, was for ${change.from}`
    case 'water':
      return `water ${percent(change.from)} → ${percent(change.to)} (${formatPoints(change.to - change.from)} points)`
    case 'row':
      return `${change.ingredient} ${percent(change.from)} → ${percent(change.to)}`
    case 'row-in':
      return `${change.ingredient} put in at ${percent(change.percent)}`
    case 'row-out':
      return `${change.ingredient} taken out, was ${percent(change.percent)}`
    case 'swap':
      return `${change.to} in place of ${change.from}`
    case 'lot':
      return `${change.ingredient} from ${change.to ?? 'no named sack'}, was ${change.from ?? 'no named sack'}`
    case 'measured':
      return change.to === null
        ? `${change.ingredient} by the table again`
        : `${change.ingredient} measured at ${percent(100 * change.to)} water`
    case 'loss':
      return `loss ${percent(change.from)} → ${percent(change.to)}`
    case 'heat':
      return change.to === null ? 'heat of the water by the school' : `water at ${temperature(change.to)}`
    case 'school':
      return `another school on ${change.topic.replace('-', ' ')}`
    case 'amount':
      return 'another amount'
    case 'place':
      return 'flour from another place'
    case 'note':
      return 'another note'
    case 'learned':
      return 'with or without what the flour taught'
    case 'vessel':
      return 'another vessel'
  }
}
