/** A screen as a ruler: how many of its pixels are a millimetre. */

/** A bank card, as its standard (ISO/IEC 7810, ID-1) has it. */
export const CARD_MM = { width: 85.6, height: 53.98 } as const
/** CSS pixels at the size they are meant to have; where one starts from. */
export const NOMINAL_PX_PER_MM = 96 / 25.4
/** Screens are not coarser or finer than this. */
const [LEAST, MOST] = [1, 30]
/** The second length may be off by so much before the first is put right, percent. */
const CLOSE_PERCENT = 0.8

/**
 * Device pixels a millimetre, from the width at which a bank card (ISO/IEC 7810 ID-1, 85.60 mm) fits on the screen; kept to what screens have.
 * @example pxPerMmOfCard(342) → 3.995
 */
export const pxPerMmOfCard = (cardPx: number): number => Math.min(MOST, Math.max(LEAST, cardPx / CARD_MM.width))

export interface Checked {
  readonly pxPerMm: number
  readonly offPercent: number
  readonly close: boolean
}

/**
 * A line drawn `drawnMm` long by what is believed, read as `readMm` on a ruler.
 * @example checkedBy(4, 100, 98) → { pxPerMm: 4.08, offPercent: -2 }
 */
export function checkedBy(pxPerMm: number, drawnMm: number, readMm: number): Checked {
  const offPercent = 100 * (readMm / drawnMm - 1)
  const close = Math.abs(offPercent) <= CLOSE_PERCENT
  return { pxPerMm: close ? pxPerMm : (pxPerMm * drawnMm) / readMm, offPercent, close }
}
