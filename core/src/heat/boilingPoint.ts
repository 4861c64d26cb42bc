/** Standard atmosphere: pressure in hPa at an altitude in m. */
export const pressureHPa = (altitudeM: number): number => 1013.25 * (1 - 2.25577e-5 * altitudeM) ** 5.25588

const HPA_PER_MMHG = 1.33322

/**
 * Where water boils, °C, from −100 to 5000 m, by Antoine's formula for water (good to 0.1 °C here).
 * @example boilingPointC(1600) → 94.7
 */
export function boilingPointC(altitudeM: number): number {
  return 1730.63 / (8.07131 - Math.log10(pressureHPa(altitudeM) / HPA_PER_MMHG)) - 233.426
}
