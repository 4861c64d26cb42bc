/** What fills a length to within a rounding error does fill it. */
export const HAIR = 1e-9

/** Whole things of one size that fit in a length. */
export const fitting = (length: number, each: number): number => Math.max(0, Math.floor(length / each + HAIR))
