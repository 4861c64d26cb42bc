/** A kitchen scale to practise with: what its display would show for what lies on it. The clock and the noise come from outside. */
import { z } from '../zod.ts'
import { positive, someG, massG, spotSchema, trayLayoutSchema } from '../model/index.ts'
import { later, moved, onPanG, trayOnPan, type TrayOnPan } from './trayOnPan.ts'

export interface ScaleRange {
  readonly stepG: number
  readonly maxG: number
}

/** A bench scale, and a pocket scale. */
export const SCALE_RANGES = [
  { stepG: 1, maxG: 5000 },
  { stepG: 0.1, maxG: 500 },
] as const satisfies readonly ScaleRange[]

export interface ScaleState {
  readonly on: boolean
  readonly range: ScaleRange
  readonly panG: number
  /** A tray of dough that dries on it; null where none does. */
  readonly tray: TrayOnPan | null
  /** What the cell has come to: it follows the pan within a second. */
  readonly cellG: number
  /** Called zero when it was tared. */
  readonly zeroG: number
  /** Of the cell as it warms. */
  readonly driftG: number
  /** The last display, before it was rounded. */
  readonly displayG: number
}

export const freshScale: ScaleState = {
  on: true,
  range: SCALE_RANGES[0],
  panG: 0,
  tray: null,
  cellG: 0,
  zeroG: 0,
  driftG: 0,
  displayG: 0,
}

export const scaleActSchema = z.discriminatedUnion('act', [
  /** More on the pan, or less. */
  z.strictObject({ act: z.literal('put'), grams: z.number().check(z.minimum(-20_000), z.maximum(20_000)) }),
  z.strictObject({ act: z.literal('clear') }),
  /** A tray is set on it and left to dry, so many hours of it in one of the clock. */
  z.strictObject({
    act: z.literal('tray'),
    grams: someG,
    trayG: massG,
    layout: trayLayoutSchema,
    pace: z.number().check(z.minimum(1), z.maximum(3600)),
    /** The hour of the day it is laid at. */
    startsAt: z.number().check(z.minimum(0), z.maximum(24)),
  }),
  /** Its air is another from now on. */
  z.strictObject({ act: z.literal('tray-air'), spot: spotSchema }),
  z.strictObject({ act: z.literal('tare') }),
  z.strictObject({ act: z.literal('range'), stepG: z.union([z.literal(1), z.literal(0.1)]) }),
  z.strictObject({ act: z.literal('power'), on: z.boolean() }),
  /** The line to it is cut for a while. */
  z.strictObject({ act: z.literal('drop'), seconds: z.number().check(z.minimum(1), z.maximum(120)) }),
])
export type ScaleAct = z.infer<typeof scaleActSchema>

/** The scale after a hand or a plug; a load past its end is kept and shown as too much. */
export function actOnScale(state: ScaleState, act: ScaleAct): ScaleState {
  switch (act.act) {
    case 'put':
      return { ...state, panG: Math.max(0, state.panG + act.grams) }
    case 'clear':
      return { ...state, panG: 0, tray: null }
    case 'tray':
      return { ...state, tray: trayOnPan(act), panG: act.grams + act.trayG }
    case 'tray-air':
      return { ...state, tray: state.tray && moved(state.tray, act.spot) }
    case 'tare':
      return state.on ? { ...state, zeroG: state.cellG + state.driftG } : state
    case 'range':
      return { ...state, range: SCALE_RANGES.find(({ stepG }) => stepG === act.stepG) ?? state.range }
    case 'power':
      // Switched on again it calls zero whatever lies on it.
      return act.on && !state.on
        ? {
            ...freshScale,
            range: state.range,
            tray: state.tray,
            panG: state.panG,
            cellG: state.panG,
            zeroG: state.panG,
          }
        : { ...state, on: act.on }
    case 'drop':
      return state
  }
}

/** Time in which the cell covers two thirds of a step. */
const SETTLING_S = 0.25
const DRIFT_STEPS_PER_S = 0.004
/** Sd of the display, in its own steps. */
const NOISE_STEPS = 0.12

/** One moment later. `chance` gives even numbers from 0 to 1. */
export function tickScale(state: ScaleState, seconds: number, chance: () => number): ScaleState {
  const { stepG } = state.range
  const tray = state.tray && later(state.tray, seconds, chance)
  const panG = tray ? onPanG(tray) : state.panG
  const cellG = panG + (state.cellG - panG) * Math.exp(-seconds / SETTLING_S)
  // Twelve even numbers make a bell.
  const bell = Array.from({ length: 12 }, chance).reduce((sum, each) => sum + each, -6)
  const driftG = state.driftG + (chance() - 0.5) * 2 * DRIFT_STEPS_PER_S * stepG * seconds
  return { ...state, tray, panG, cellG, driftG, displayG: cellG + driftG - state.zeroG + bell * NOISE_STEPS * stepG }
}

export const scaleReadingSchema = z.discriminatedUnion('shows', [
  z.strictObject({
    shows: z.literal('mass'),
    grams: z.number(),
    stable: z.boolean(),
    stepG: positive,
  }),
  z.strictObject({ shows: z.literal('overload'), maxG: z.number() }),
  z.strictObject({ shows: z.literal('off') }),
])
export type ScaleReading = z.infer<typeof scaleReadingSchema>

/** What the display shows, to its step; nothing of what lies there beyond that. */
export function readScale({ on, range, panG, cellG, displayG }: ScaleState): ScaleReading {
  if (!on) return { shows: 'off' }
  if (cellG > range.maxG * 1.02) return { shows: 'overload', maxG: range.maxG }
  const steps = Math.round(displayG / range.stepG)
  return {
    shows: 'mass',
    grams: Number((steps * range.stepG).toFixed(1)) || 0,
    stable: Math.abs(panG - cellG) < range.stepG / 2,
    stepG: range.stepG,
  }
}
