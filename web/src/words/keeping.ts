/** How long something keeps, never rounded up. */
import type { Finish, Keeps, PlannedStep, WetReason } from '@harina/core'
import { counted } from './units.ts'

/** How long a rest may be: in minutes up to an hour and a half, in hours else. @example 30, 90 → 30 to 90 minutes */
export function restSpanWords(low: number, high: number): string {
  if (high <= 90) return low >= high ? counted(high, 'minute') : `${Math.round(low)} to ${counted(high, 'minute')}`
  if (low < 60) return `${counted(low, 'minute')} to ${counted(Math.round(high / 60), 'hour')}`
  const [from, to] = [Math.round(low / 60), Math.round(high / 60)]
  return from >= to ? counted(to, 'hour') : `${from} to ${counted(to, 'hour')}`
}

/** A limit in hours as one says it: whole days where it is whole days, else hours, else minutes. @example 12 → 12 hours */
export function hoursWords(hours: number): string {
  if (hours < 1) return counted(Math.floor(hours * 60 + 1e-9), 'minute')
  if (hours >= 24 && hours % 24 === 0) return counted(hours / 24, 'day')
  return Number.isInteger(hours * 2) && hours < 10 && !Number.isInteger(hours)
    ? `${Math.floor(hours)}½ hours`
    : counted(Math.floor(hours + 1e-9), 'hour')
}

/** @example 1 → 1 month; 2.5 → 2 months */
export const monthsWords = (months: number): string =>
  months < 1 ? counted(Math.floor(months * 4 + 1e-9), 'week') : counted(Math.floor(months + 1e-9), 'month')

/** Why a dough is never dried in room air, in half a sentence: null for one that may be. */
export function wetWords({ wet }: { readonly wet: readonly WetReason[] }): string | null {
  if (wet.length === 0) return null
  const names = wet.map((reason) =>
    reason.code === 'row' ? reason.name : reason.code === 'filling' ? 'the filling' : 'the scalded starch',
  )
  return names.join(', ')
}

/** How long it keeps dry, and why no longer. @example 3 months, then its fat turns rancid */
export const driedWords = ({ driedMonths, rancid }: Pick<Keeps, 'driedMonths' | 'rancid'>): string =>
  `${monthsWords(driedMonths ?? 0)}${rancid ? ', then its fat turns rancid' : ''}`

/** Where a batch waits. */
export const keptWhere = ({ kind }: Pick<PlannedStep, 'kind'>): string =>
  kind === 'freeze' ? 'in the freezer' : kind === 'dry' ? 'on the rack' : 'in the fridge'

/** As what a piece goes into the pot. */
export const keptAs: Readonly<Record<Finish, string>> = {
  cook: 'fresh',
  hold: 'from the fridge',
  freeze: 'frozen',
  dry: 'dried',
}
