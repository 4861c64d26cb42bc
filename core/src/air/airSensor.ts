/** An air sensor to practise with: two probes, one where flour stands and one at the bench. Clock and chance come from outside. */
import { z } from '../zod.ts'

export const AIR_PROBES = ['store', 'room'] as const
export type AirProbe = (typeof AIR_PROBES)[number]

interface Air {
  readonly temperatureC: number
  readonly rhPercent: number
}

/** What each probe comes back to, and how far it strays by itself. */
const HOME: Readonly<Record<AirProbe, Air & { readonly swingC: number; readonly swingPercent: number }>> = {
  store: { temperatureC: 16.5, rhPercent: 79, swingC: 0.8, swingPercent: 4 },
  room: { temperatureC: 26, rhPercent: 40, swingC: 1.5, swingPercent: 3 },
}
/** Time in which two thirds of a disturbance are gone. */
const BACK_S = 600

export interface AirState {
  readonly on: boolean
  readonly probes: Readonly<Record<AirProbe, Air>>
}

export const freshAir: AirState = { on: true, probes: HOME }

const probe = z.enum(AIR_PROBES)
export const airActSchema = z.discriminatedUnion('act', [
  /** A pot boils beside it. */
  z.strictObject({ act: z.literal('steam'), probe }),
  /** The door stands open to a damp, cool day. */
  z.strictObject({ act: z.literal('door'), probe }),
  /** A stove is lit. */
  z.strictObject({ act: z.literal('stove'), probe }),
  z.strictObject({ act: z.literal('power'), on: z.boolean() }),
  z.strictObject({ act: z.literal('drop'), seconds: z.number().check(z.minimum(1), z.maximum(120)) }),
])
export type AirAct = z.infer<typeof airActSchema>

const within = (low: number, high: number, value: number) => Math.min(high, Math.max(low, value))
const kept = ({ temperatureC, rhPercent }: Air): Air => ({
  temperatureC: within(-20, 60, temperatureC),
  rhPercent: within(5, 95, rhPercent),
})

const CHANGES: Readonly<Record<'steam' | 'door' | 'stove', Air>> = {
  steam: { temperatureC: 2, rhPercent: 25 },
  door: { temperatureC: -5, rhPercent: 12 },
  stove: { temperatureC: 6, rhPercent: -14 },
}

export function actOnAir(state: AirState, act: AirAct): AirState {
  switch (act.act) {
    case 'power':
      return { ...state, on: act.on }
    case 'drop':
      return state
    default: {
      const now = state.probes[act.probe]
      const change = CHANGES[act.act]
      const next = kept({
        temperatureC: now.temperatureC + change.temperatureC,
        rhPercent: now.rhPercent + change.rhPercent,
      })
      return { ...state, probes: { ...state.probes, [act.probe]: next } }
    }
  }
}

/** One moment later: back towards its home, with a stray of its own. `chance` gives even numbers from 0 to 1. */
export function tickAir(state: AirState, seconds: number, chance: () => number): AirState {
  const stay = Math.exp(-seconds / BACK_S)
  // So large a step each time that the strays add up to the swing.
  const stray = Math.sqrt(3 * (1 - stay * stay))
  const next = (of: AirProbe): Air => {
    const { swingC, swingPercent, ...home } = HOME[of]
    const now = state.probes[of]
    const moved = (value: number, back: number, swing: number) =>
      back + (value - back) * stay + (2 * chance() - 1) * stray * swing
    return kept({
      temperatureC: moved(now.temperatureC, home.temperatureC, swingC),
      rhPercent: moved(now.rhPercent, home.rhPercent, swingPercent),
    })
  }
  return { ...state, probes: { store: next('store'), room: next('room') } }
}

const airSchema = z.strictObject({ temperatureC: z.number(), rhPercent: z.number() })
export const airReadingSchema = z.discriminatedUnion('shows', [
  z.strictObject({ shows: z.literal('air'), store: airSchema, room: airSchema }),
  z.strictObject({ shows: z.literal('off') }),
])
export type AirReading = z.infer<typeof airReadingSchema>

/** To a tenth of a degree and a whole percent, as such sensors show it. */
export function readAir({ on, probes }: AirState): AirReading {
  if (!on) return { shows: 'off' }
  const shown = ({ temperatureC, rhPercent }: Air): Air => ({
    temperatureC: Number(temperatureC.toFixed(1)),
    rhPercent: Math.round(rhPercent),
  })
  return { shows: 'air', store: shown(probes.store), room: shown(probes.room) }
}
