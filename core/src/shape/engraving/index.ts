export { engrave, type Engraving, type Point } from './engrave.ts'
