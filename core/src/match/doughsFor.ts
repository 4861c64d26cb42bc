import type { Dough, DoughTable, Shape, Window } from '../model/index.ts'

export interface DoughForShape {
  readonly dough: Dough
  readonly window: Window
}

/** Which doughs a shape is made of, with its own narrower window in each, in the order of its table. */
export const doughsFor = (shape: Shape, doughs: DoughTable): readonly DoughForShape[] =>
  shape.doughs.flatMap(({ dough: id, window }) => {
    const dough = doughs.get(id)
    return dough ? [{ dough, window }] : []
  })
