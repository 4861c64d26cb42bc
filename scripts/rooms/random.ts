/** Numbers that are the same at every run. */
export interface Random {
  /** From 0 to 1. */
  even(): number
  /** Of a normal distribution, mean 0 and sd 1. */
  bell(): number
}

/** A generator with 32 bits of state, mixed well enough for trials (Mulberry32). */
export function random(seed: number): Random {
  let state = seed >>> 0
  const even = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
  const bell = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even())
  return { even, bell }
}
