import { ok, problem, type Result } from '../result.ts'

export interface CorrectRequest {
  readonly flourG: number
  readonly waterG: number
  readonly targetPercent: number
  readonly saltG: number
}

export type Correction =
  | { readonly action: 'none'; readonly saltG: 0; readonly doughG: number }
  | { readonly action: 'add-water'; readonly waterG: number; readonly saltG: 0; readonly doughG: number }
  | { readonly action: 'add-flour'; readonly flourG: number; readonly saltG: number; readonly doughG: number }

/** Closer than this, in points, nobody could feel it. */
const CLOSE_ENOUGH_POINTS = 0.05

/**
 * What to add so that the bowl reaches a hydration: water F·h − W when short, flour W/h − F when over, with salt to match.
 * Masses in g. Problems: `correct-impossible` (no flour makes wet dough 0 %).
 * @example correctHydration({ flourG: 900, waterG: 500, targetPercent: 33, saltG: 27 }) → { flourG: 615.2, saltG: 18.5 }
 */
export function correctHydration({ flourG, waterG, targetPercent, saltG }: CorrectRequest): Result<Correction> {
  const target = targetPercent / 100
  const doughG = flourG + waterG + saltG
  if (Math.abs((100 * waterG) / flourG - targetPercent) <= CLOSE_ENOUGH_POINTS + 1e-9)
    return ok({ action: 'none', saltG: 0, doughG })
  const missingG = flourG * target - waterG
  if (missingG > 0) return ok({ action: 'add-water', waterG: missingG, saltG: 0, doughG: doughG + missingG })
  if (target === 0) return problem('correct-impossible', 'targetPercent')
  const extraFlourG = waterG / target - flourG
  const extraSaltG = (saltG * extraFlourG) / flourG
  return ok({ action: 'add-flour', flourG: extraFlourG, saltG: extraSaltG, doughG: doughG + extraFlourG + extraSaltG })
}
