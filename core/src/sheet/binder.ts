/** What a school binds a dough with. */
import type { Dough } from '../model/index.ts'
import type { SchoolSets } from './schoolSets.ts'

export interface Binder {
  readonly group: 'egg' | 'starch'
  readonly ingredient: string
  /** On 100 of base; 0 takes it out. */
  readonly percent: number
}

/** Null where nothing is asked for, or the dough's table knows no such binder. */
export function binderOf(asked: SchoolSets['binder'], { binderPercent }: Pick<Dough, 'binderPercent'>): Binder | null {
  if (!asked || !binderPercent) return null
  if (asked === 'none') return { group: 'starch', ingredient: 'potato-starch', percent: 0 }
  const window = asked === 'egg' ? binderPercent.eggYolk : binderPercent.potatoStarch
  const [group, ingredient] = asked === 'egg' ? (['egg', 'egg-yolk'] as const) : (['starch', 'potato-starch'] as const)
  return window ? { group, ingredient, percent: window.best } : null
}
