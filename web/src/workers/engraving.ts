/** Engravings are made once each, away from the page, and kept. */
import {
  engravingFrom,
  engravingKey,
  type CrossSection,
  type Engraving,
  type KeptEngraving,
  type Point,
} from '@harina/core/engraving'
import type { Shape } from '@harina/core'
import type { EngravingJobs } from './engraving.worker.ts'
import { createPool, remembered } from './jobs.ts'

const engraver = createPool<EngravingJobs>(
  () => new Worker(new URL('./engraving.worker.ts', import.meta.url), { type: 'module' }),
)

type Drawn = Pick<Shape, 'form' | 'wallMm'>
/** More than the table has shapes, and some of a maker's own. */
const KEPT = 300

type Drawings = Readonly<Record<string, KeptEngraving>>
let drawn: Promise<Drawings> | null = null
/** Those of the table's shapes come with the client, all at once; without them each is made here. */
const keptDrawings = (): Promise<Drawings> =>
  (drawn ??= fetch(new URL('../../../facts/engravings.json', import.meta.url))
    .then((answer) => (answer.ok ? (answer.json() as Promise<Drawings>) : {}))
    .catch((): Drawings => ({})))

// Async, so that a browser without workers settles as a failure too, and costs a drawing, not the station.
export const engravingOf = remembered(
  async ({ form, wallMm }: Drawn): Promise<Engraving> => {
    const kept = (await keptDrawings())[engravingKey({ form, wallMm })]
    return kept ? engravingFrom(kept) : engraver.run('engrave', { form, wallMm })
  },
  engravingKey,
  KEPT,
)
export const crossSectionOf = remembered(
  async ({ form, wallMm }: Drawn): Promise<CrossSection> => engraver.run('crossSection', { form, wallMm }),
  engravingKey,
  KEPT,
)

const path = (line: readonly Point[]): string => `M${line.map(([x, y]) => `${x} ${y}`).join('L')}`
export const pathOf = (lines: readonly (readonly Point[])[]): string => lines.map(path).join('')

const images = new WeakMap<Engraving, string>()

/** The engraving as a picture that costs the page no nodes: for lists of many. */
export function imageOf(engraving: Engraving): string {
  const known = images.get(engraving)
  if (known) return known
  const { widthMm, heightMm, lines, outline } = engraving
  const long = Math.max(widthMm, heightMm * 1.3)
  const strokes = `fill='none' stroke='black' stroke-linejoin='round' stroke-linecap='round'`
  const svg = `<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 ${widthMm.toFixed(2)} ${heightMm.toFixed(2)}'><g ${strokes}><path d='${pathOf(lines)}' stroke-width='${(long * 0.006).toFixed(3)}'/><path d='${pathOf(outline)}' stroke-width='${(long * 0.013).toFixed(3)}'/></g></svg>`
  const url = `url("data:image/svg+xml,${encodeURIComponent(svg)}")`
  images.set(engraving, url)
  return url
}
