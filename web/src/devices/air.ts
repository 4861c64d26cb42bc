import { airReadingSchema, type AirAct, type AirReading } from '@harina/core'
import { playedInstrument, type Instrument } from './line.ts'

export type AirSensor = Instrument<AirReading, AirAct>

/** The air sensor that ships with the product. */
export const playedAir: AirSensor = playedInstrument('/instruments/air', airReadingSchema)
