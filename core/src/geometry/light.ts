/** Held against a window, a sheet tells how thin it is: usual practice for a wheat dough, no measurement. */
export const LIGHTS = [
  { id: 'none', mm: 1.5 },
  { id: 'shadow', mm: 1 },
  { id: 'fingers', mm: 0.8 },
  { id: 'headline', mm: 0.6 },
  { id: 'print', mm: 0.4 },
] as const
export type Light = (typeof LIGHTS)[number]

/** What shows through a sheet about so thick. @example lightThrough(0.75).id → 'fingers' */
export const lightThrough = (mm: number): Light =>
  LIGHTS.reduce((best, each) => (Math.abs(Math.log(each.mm / mm)) < Math.abs(Math.log(best.mm / mm)) ? each : best))
