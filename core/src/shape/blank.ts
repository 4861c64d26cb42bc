/** What a blank weighs and measures, from its dimensions. */
import type { Blank } from '../model/index.ts'
import { unreachable } from '../result.ts'

const discMm2 = (diameterMm: number): number => (Math.PI / 4) * diameterMm ** 2

/** Volume of one blank in mm³. A piece drawn out keeps it. */
export function blankVolumeMm3(blank: Blank): number {
  switch (blank.type) {
    case 'rope':
      return discMm2(blank.diameterMm) * blank.cutMm
    case 'sheet':
      return blank.thicknessMm * blank.widthMm * blank.lengthMm
    case 'disc':
      return discMm2(blank.diameterMm) * blank.thicknessMm
    case 'die':
      return blank.openAreaMm2 * blank.swell * blank.cutMm
    case 'drop':
      return discMm2(blank.holeMm) * blank.lengthMm
    default:
      return unreachable(blank)
  }
}

/** Mass of one blank in g; density in g/cm³. @example blankG(1.2, { type: 'rope', diameterMm: 9, cutMm: 13 }) → 0.992 */
export const blankG = (densityGPerCm3: number, blank: Blank): number => (densityGPerCm3 * blankVolumeMm3(blank)) / 1000

/** How long a blank becomes when it is drawn out, its volume kept: mm of one strand, or of the band; null where it is not. */
export function drawnOutMm(blank: Blank): number | null {
  const volumeMm3 = blankVolumeMm3(blank)
  if (blank.type === 'rope' && blank.drawn)
    return volumeMm3 / ((blank.drawn.strands ?? 1) * discMm2(blank.drawn.diameterMm))
  if (blank.type === 'sheet' && blank.drawn)
    return volumeMm3 / (blank.drawn.thicknessMm * (blank.drawn.widthMm ?? blank.widthMm))
  return null
}

/** Across a piece that is closed over a filling: diameter of a round, the shorter side of a square; 0 for what has no face. */
export function faceMm(blank: Blank): number {
  if (blank.type === 'disc') return blank.diameterMm
  return blank.type === 'sheet' ? Math.min(blank.widthMm, blank.lengthMm) : 0
}

/** One layer of its skin; for what is not cut of a sheet, its wall. */
export const skinMm = (blank: Blank, wallMm: number): number => ('thicknessMm' in blank ? blank.thicknessMm : wallMm)

/** A measure of a blank that a maker can drag; `drawnMm` is how thick a rope is drawn out. */
export type SizeKey = 'diameterMm' | 'cutMm' | 'thicknessMm' | 'widthMm' | 'holeMm' | 'lengthMm' | 'drawnMm'

/** The same blank with one size changed, mm; a size it has not is left. */
export function withSize(blank: Blank, key: SizeKey, mm: number): Blank {
  if (key === 'drawnMm')
    return blank.type === 'rope' && blank.drawn ? { ...blank, drawn: { ...blank.drawn, diameterMm: mm } } : blank
  return key in blank ? ({ ...blank, [key]: mm } as Blank) : blank
}
