/** What a maker's own batches have shown, whatever the tables say. */

/** Crumbs or a kneaded dough. */
export type PressedAs = 'crumb' | 'dough'

/** What went through a press and came out well; the reading on the scale of the tables, percent. */
export interface Pressed {
  readonly press: string
  readonly as: PressedAs
  readonly reading: number
}

/** A batch that was called right, and good to eat. */
export interface Proven {
  readonly dough: string
  /** Its shape, by identifier. */
  readonly shape: string
  /** Where it stood against the best of its window, on the dough's own scale. */
  readonly fromBest: number
}
