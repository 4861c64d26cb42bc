/** What an egg is without its shell: whole, its yolk, its white. */
import type { EggSize } from '../model/index.ts'

export interface Egg {
  readonly wholeG: number
  readonly yolkG: number
  readonly whiteG: number
}

/**
 * Shelled is 88.5 % of what it weighs in its shell, yolk 28.5 %, white 60 %, at the middle of its class; one egg is some 7 % to
 * either side. Typical figures of the trade's classes.
 */
export const EGGS: Readonly<Record<EggSize, Egg>> = {
  any: { wholeG: 50.4, yolkG: 16.2, whiteG: 34.2 },
  'eu-s': { wholeG: 43.4, yolkG: 14, whiteG: 29.4 },
  'eu-m': { wholeG: 51.3, yolkG: 16.5, whiteG: 34.8 },
  'eu-l': { wholeG: 59.3, yolkG: 19.1, whiteG: 40.2 },
  'eu-xl': { wholeG: 67.3, yolkG: 21.7, whiteG: 45.6 },
  'us-m': { wholeG: 46, yolkG: 14.8, whiteG: 31.2 },
  'us-l': { wholeG: 51.3, yolkG: 16.5, whiteG: 34.8 },
  'us-xl': { wholeG: 58.4, yolkG: 18.8, whiteG: 39.6 },
  'au-m': { wholeG: 37.2, yolkG: 12, whiteG: 25.2 },
  'au-l': { wholeG: 46, yolkG: 14.8, whiteG: 31.2 },
  'au-xl': { wholeG: 53.1, yolkG: 17.1, whiteG: 36 },
  'jp-ms': { wholeG: 48.7, yolkG: 15.7, whiteG: 33 },
  'jp-m': { wholeG: 54, yolkG: 17.4, whiteG: 36.6 },
  'jp-l': { wholeG: 59.3, yolkG: 19.1, whiteG: 40.2 },
}

const PINCH_G = { salt: 0.4, other: 0.15 } as const
const BUTTER_STICK_G = 113.4

/**
 * What one may count an ingredient in, g of one: eggs of the maker's size, pinches between thumb and two fingers, sticks of
 * butter.
 */
export function countedIn(id: string, group: string, egg: EggSize): Readonly<Record<string, number>> {
  const { wholeG, yolkG, whiteG } = EGGS[egg]
  const counted: Readonly<Record<string, Readonly<Record<string, number>>>> = {
    'egg-whole': { egg: wholeG },
    'egg-yolk': { yolk: yolkG, 'egg yolk': yolkG },
    'egg-white': { white: whiteG, 'egg white': whiteG },
    butter: { stick: BUTTER_STICK_G },
  }
  if (counted[id]) return counted[id]
  if (group === 'salt') return { pinch: PINCH_G.salt }
  return group === 'seasoning' || group === 'colour' ? { pinch: PINCH_G.other } : {}
}

const EGG_ROWS = ['egg-whole', 'egg-yolk', 'egg-white'] as const

/** Raw egg without its shell: counted by number, and kept out of alkali, which sets it. */
export const isEgg = (id: string): id is (typeof EGG_ROWS)[number] => EGG_ROWS.some((egg) => egg === id)
