import type { Grain } from '../model/index.ts'

export interface Climate {
  readonly temperatureC: number
  /** 5 to 95. */
  readonly rhPercent: number
}

/** Modified Henderson constants (ASAE D245): 1 − RH = exp(−K (T + C) Mᴺ), T in °C, M in % of dry mass. */
export const henderson: Record<Grain, { k: number; n: number; c: number }> = {
  durum: { k: 2.5738e-5, n: 2.211, c: 70.318 },
  hard: { k: 2.3007e-5, n: 2.2857, c: 55.815 },
  soft: { k: 1.2299e-5, n: 2.5558, c: 64.346 },
}

/**
 * Moisture (fraction of total mass) towards which an open sack drifts in this air: an estimate a maker may overrule,
 * since a closed sack lags by weeks. Valid from 5 to 95 % RH.
 * @example storeMoisture('durum', { temperatureC: 15, rhPercent: 80 }) → 0.165
 */
export function storeMoisture(grain: Grain, { temperatureC, rhPercent }: Climate): number {
  const { k, n, c } = henderson[grain]
  const dryBasisPercent = (-Math.log(1 - rhPercent / 100) / (k * (temperatureC + c))) ** (1 / n)
  return dryBasisPercent / (100 + dryBasisPercent)
}
