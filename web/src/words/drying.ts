/** Trays, rooms and covers. */
import type { Air, Cover, Laying, Spot } from '@harina/core'

export const airWords: Readonly<Record<Air, string>> = { still: 'still air', fan: 'a small fan', cabinet: 'a cabinet' }
export const coverWords: Readonly<Record<Cover, string>> = { open: 'open', cloth: 'under a cloth', box: 'in a box' }
export const layingWords: Readonly<Record<Laying, string>> = {
  spread: 'spread, none touching',
  nests: 'in nests',
  layers: 'in layers',
}

/** @example Lamp room, under a cloth */
export const spotWords = ({ place, cover }: Pick<Spot, 'place' | 'cover'>): string => `${place}, ${coverWords[cover]}`
