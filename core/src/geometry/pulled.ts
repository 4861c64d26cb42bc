/** Noodles pulled by doubling: every fold has twice the strands, each half as thick in section. */

export interface PulledRequest {
  /** Of the lump that is pulled. */
  readonly volumeMm3: number
  /** Length of a strand between the hands, kept from fold to fold. */
  readonly loopMm: number
  readonly folds: number
}

export interface Fold {
  readonly folds: number
  readonly strands: number
  readonly diameterMm: number
}

/**
 * From the lump drawn out once (no fold) to the last doubling: d = √(4V / π·n·L).
 * @example pulled({ volumeMm3: 92_000, loopMm: 270, folds: 6 }).at(-1) → { strands: 64, diameterMm: 2.6 }
 */
export const pulled = ({ volumeMm3, loopMm, folds }: PulledRequest): readonly Fold[] =>
  Array.from({ length: folds + 1 }, (_, k) => {
    const strands = 2 ** k
    return { folds: k, strands, diameterMm: Math.sqrt((4 * volumeMm3) / (Math.PI * strands * loopMm)) }
  })
