export { crossSection, type CrossSection } from './cross.ts'
export { engrave, type Engraving } from './engrave.ts'
export type { Point } from './lines.ts'
export { engravingFrom, engravingKey, keptEngraving, type KeptEngraving } from './kept.ts'
