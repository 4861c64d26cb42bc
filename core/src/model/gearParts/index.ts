/** Everything in Gear that other records name. A new kind is its file and its line here. */
import { coverPart } from './cover.ts'
import { placePart } from './place.ts'
import { potPart } from './pot.ts'
import { pressPart } from './press.ts'
import { rollerPart } from './roller.ts'
import { vesselPart } from './vessel.ts'

export const gearParts = {
  place: placePart,
  vessel: vesselPart,
  pot: potPart,
  roller: rollerPart,
  press: pressPart,
  cover: coverPart,
}
export type GearPart = keyof typeof gearParts
export const GEAR_PARTS = Object.keys(gearParts) as GearPart[]

export type { Figure, Figures, GearPartSpec } from './part.ts'
export { airFigures, asRead, type Place } from './place.ts'
export type { Vessel } from './vessel.ts'
export { potSchema, USUAL_POT_L, type Pot } from './pot.ts'
export type { Cover } from './cover.ts'
export { gapFigure, rollerSchema, type KeptRoller } from './roller.ts'
export { pressAt12, pressKindSchema, pressSchema, type KeptPress, type PressKind } from './press.ts'
