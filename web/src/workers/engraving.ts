/** Engravings are made once each, away from the page, and kept. */
import type { Engraving } from '@harina/core/engraving'
import type { Shape } from '@harina/core'
import { wrap, type Remote } from 'comlink'
import type { EngravingApi } from './engraving.worker.ts'

let remote: { proxy: Remote<EngravingApi>; died: Promise<never> } | null = null
const kept = new Map<string, Promise<Engraving>>()

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

/** Async, so that a browser without workers settles as a failure too, and costs a drawing, not the station. */
async function ask({ form, wallMm }: Pick<Shape, 'form' | 'wallMm'>): Promise<Engraving> {
  const { proxy, died } = worker()
  return Promise.race([proxy.engrave({ form, wallMm }), died])
}

/** The engraving of a shape; a failure settles too, and may be asked for again. */
export function engravingOf(shape: Pick<Shape, 'id' | 'form' | 'wallMm'>): Promise<Engraving> {
  const key = `${shape.id} ${JSON.stringify(shape.form)} ${shape.wallMm}`
  const known = kept.get(key)
  if (known) return known
  const made = ask(shape)
  kept.set(key, made)
  made.catch(() => kept.delete(key))
  return made
}
