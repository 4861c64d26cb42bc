/** What kneading does to the heat of a dough. */
import type { Gear, Worker } from '../model/index.ts'

/** Degrees: the span to expect, and what is taken until a maker has measured it. A blade does in a minute what hands do in ten. */
export const KNEADING_WARMS_C: Readonly<Record<Worker, { low: number; usual: number; high: number }>> = {
  hand: { low: 1, usual: 2, high: 3 },
  mixer: { low: 4, usual: 6, high: 10 },
  processor: { low: 8, usual: 11, high: 15 },
}

/** How far this way of kneading warms a dough in this kitchen, degrees: as measured, or as usual. */
export const warmsBy = ({ kneads, frictionC }: Pick<Gear, 'kneads' | 'frictionC'>, by: Worker): number =>
  by === kneads ? frictionC : KNEADING_WARMS_C[by].usual

/** Iced water is as cold as it gets. */
const COLDEST_C = 4

/**
 * Water for a dough that comes out no warmer than hands would leave it, °C: what the machine warms beyond that is taken out of the
 * water, down to iced. Heats in J/K.
 * @example 44 °C by hand, a blade that warms it by 9 degrees more, half of the heat in the water → 26 °C
 */
export function waterByMachineC(
  byHandC: number,
  warmsMoreC: number,
  { waterJ, othersJ }: { readonly waterJ: number; readonly othersJ: number },
): number {
  if (warmsMoreC <= 0 || waterJ <= 0) return byHandC
  return Math.min(byHandC, Math.max(COLDEST_C, byHandC - (warmsMoreC * (waterJ + othersJ)) / waterJ))
}

/** Another way of kneading; its warmth is taken along, unless this maker's own was measured. */
export function kneadBy<G extends Pick<Gear, 'kneads' | 'frictionC'>>(gear: G, kneads: Worker): G {
  const isMeasured = gear.frictionC !== KNEADING_WARMS_C[gear.kneads].usual
  return { ...gear, kneads, frictionC: isMeasured ? gear.frictionC : KNEADING_WARMS_C[kneads].usual }
}
