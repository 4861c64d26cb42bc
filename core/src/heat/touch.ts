/** What hands can bear: usual figures of the craft and of burn prevention; a thermometer and the skin come first. */

/** From here on a dough is stirred with a stick, °C. Water of 50 °C scalds within minutes, of 60 within seconds. */
export const STICK_C = 50
/** A dough that works in the hand, °C; a screw or rollers want it cooler, and a batter is beaten cold. */
const COMFORTABLE_C = 26
const BATTER_C = 16

/** What a dough is wanted at where nobody says, °C. @example usualDoughC(false) → 26; usualDoughC(true) → 16 */
export const usualDoughC = (isBatter: boolean): number => (isBatter ? BATTER_C : COMFORTABLE_C)

/**
 * Wanted warmer than this, °C, what is poured or touched on the way may scald.
 * @example isHotMade(36) → true; isHotMade(26) → false
 */
export const isHotMade = (wantedC: number): boolean => wantedC > STICK_C - 15

/** Whether hands stay out of it. @example wantsStick(50) → true; wantsStick(45) → false */
export const wantsStick = (celsius: number): boolean => celsius >= STICK_C
