/** Engravings are made once each, away from the page, and kept. */
import type { CrossSection, Engraving, Point } from '@harina/core/engraving'
import type { Shape } from '@harina/core'
import { wrap, type Remote } from 'comlink'
import type { EngravingApi } from './engraving.worker.ts'

let remote: { proxy: Remote<EngravingApi>; died: Promise<never> } | null = null

function worker() {
  if (remote) return remote
  const made = new Worker(new URL('./engraving.worker.ts', import.meta.url), { type: 'module' })
  const died = new Promise<never>((_, reject) => {
    made.addEventListener('error', () => {
      made.terminate()
      remote = null
      reject(new Error('the drawing could not be made'))
    })
  })
  // Nobody may be waiting when it dies.
  died.catch(() => undefined)
  remote = { proxy: wrap<EngravingApi>(made), died }
  return remote
}

type Drawn = Pick<Shape, 'id' | 'form' | 'wallMm'>

/** Made once for each form; a failure settles too, and may be asked for again. */
function once<T>(make: (proxy: Remote<EngravingApi>, shape: Pick<Shape, 'form' | 'wallMm'>) => Promise<T>) {
  const kept = new Map<string, Promise<T>>()
  // Async, so that a browser without workers settles as a failure too, and costs a drawing, not the station.
  const ask = async ({ form, wallMm }: Drawn): Promise<T> => {
    const { proxy, died } = worker()
    return Promise.race([make(proxy, { form, wallMm }), died])
  }
  return (shape: Drawn): Promise<T> => {
    const key = `${JSON.stringify(shape.form)} ${shape.wallMm}`
    const known = kept.get(key)
    if (known) return known
    const made = ask(shape)
    kept.set(key, made)
    made.catch(() => kept.delete(key))
    return made
  }
}

export const engravingOf = once<Engraving>((proxy, shape) => proxy.engrave(shape))
export const crossSectionOf = once<CrossSection>((proxy, shape) => proxy.crossSection(shape))

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
