/**
 * The numbers of a record, each in a range that a kitchen can mean. Whatever lies in them can be drawn, divided by and
 * written out: a figure is nothing at all, or at least a billionth. Like every schema here they are built when first asked for,
 * not while a page begins.
 */
import { z } from '../zod.ts'

/** As much of anything as one sheet or batch may be, g: a ton. */
export const MOST_G = 1_000_000
/** A clock left for so long, min: ten weeks. What the app itself reckons is brought down to this before it is stored. */
export const MOST_MINUTES = 100_000

const SMALLEST = 1e-9
const isSomething = (value: number): boolean => value === 0 || Math.abs(value) >= SMALLEST

/** Any number from `low` to `high`. */
export const between = (low: number, high: number) =>
  z.number().check(z.minimum(low), z.maximum(high), z.refine(isSomething, { params: { code: 'next-to-nothing' } }))

/** Any number above nothing, of a table or a question to the port. */
export const positive = z.lazy(() => z.number().check(z.positive()))
/** A whole number from `low` to `high`. */
export const whole = (low: number, high: number) => z.number().check(z.int(), z.minimum(low), z.maximum(high))

export const massG = z.lazy(() => between(0, MOST_G))
/** A mass that is something. */
export const someG = z.lazy(() => between(0.001, MOST_G))
export const lengthMm = z.lazy(() => between(0.01, 20_000))
export const celsius = z.lazy(() => between(-40, 300))
/** What a pot holds. */
export const litres = z.lazy(() => between(0.1, 1000))
/** Fraction of mass. */
export const fraction = z.lazy(() => between(0, 1))
export const minutes = z.lazy(() => between(0, MOST_MINUTES))
/** A time that is some. */
export const someMinutes = z.lazy(() => between(0.001, MOST_MINUTES))
/** Pieces, strands or portions a minute. */
export const pace = z.lazy(() => between(0.001, 100_000))
/** Points and percents that follow from others; what a maker types is held closer. */
export const reckoned = z.lazy(() => between(-10_000, 100_000))
export const pieces = z.lazy(() => whole(0, Number.MAX_SAFE_INTEGER))
