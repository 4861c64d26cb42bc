export { CELLS } from './body.ts'
export { dryBasis, equilibrium, waterActivity, wetBasis } from './sorption.ts'
export * from './drying.ts'
export * from './tray.ts'
export * from './ensemble.ts'
export {
  copyOf,
  courseIn,
  filledIn,
  DIFFUSIVITY_SD,
  feltIn,
  goOnIn,
  gramsAt,
  growsAt,
  LAGS_FROM,
  pointAt,
  profilesIn,
  runIn,
  turnIn,
  UNKNOWN,
  USUAL_WORLD,
  worldOfRate,
  type Course,
  type Felt,
  type Profiles,
  type World,
  type WorldRun,
} from './world.ts'
export { cook, cookedThrough, saltUptake, type CookRequest, type Cooking } from './cooking.ts'
