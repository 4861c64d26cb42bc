/** A small seeded generator (mulberry32): the same seed gives the same workspace on every machine. */
export interface Random {
  /** 0 to 1. */
  next(): number
  between(low: number, high: number): number
  whole(low: number, high: number): number
  /** Normal, by the sum of twelve. */
  normal(mean: number, sd: number): number
  pick<T>(items: readonly T[]): T
}

export function seeded(seed: number): Random {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
  const between = (low: number, high: number) => low + (high - low) * next()
  return {
    next,
    between,
    whole: (low, high) => Math.floor(between(low, high + 1)),
    normal: (mean, sd) => mean + sd * (Array.from({ length: 12 }, next).reduce((a, b) => a + b, 0) - 6),
    pick: (items) => {
      const item = items[Math.floor(next() * items.length)]
      if (item === undefined) throw new Error('pick from an empty list')
      return item
    },
  }
}
