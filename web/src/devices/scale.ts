import { scaleReadingSchema, type ScaleAct, type ScaleReading } from '@harina/core'
import { playedInstrument, type Instrument } from './line.ts'

export type Scale = Instrument<ScaleReading, ScaleAct>

/** The scale that ships with the product. */
export const playedScale: Scale = playedInstrument('/instruments/scale', scaleReadingSchema)
