/** What kneading does to the heat of a dough. */
import type { Gear, Worker } from '../model/index.ts'

/** Degrees: the span to expect, and what is taken until a maker has measured it. A blade does in a minute what hands do in ten. */
export const KNEADING_WARMS_C: Readonly<Record<Worker, { low: number; usual: number; high: number }>> = {
  hand: { low: 1, usual: 2, high: 3 },
  mixer: { low: 4, usual: 6, high: 10 },
  processor: { low: 8, usual: 11, high: 15 },
}

/** Another way of kneading; its warmth is taken along, unless this maker's own was measured. */
export function kneadBy<G extends Pick<Gear, 'kneads' | 'frictionC'>>(gear: G, kneads: Worker): G {
  const isMeasured = gear.frictionC !== KNEADING_WARMS_C[gear.kneads].usual
  return { ...gear, kneads, frictionC: isMeasured ? gear.frictionC : KNEADING_WARMS_C[kneads].usual }
}
