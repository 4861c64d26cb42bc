/** Linear programmes are solved away from the page, by a solver that is fetched from this server when first asked for. */
import type { SolveLinear } from '@harina/core'
import { wrap, type Remote } from 'comlink'
import type { LinearApi } from './linear.worker.ts'

let remote: { proxy: Remote<LinearApi>; died: Promise<never> } | null = null

function worker() {
  if (remote) return remote
  const made = new Worker(new URL('./linear.worker.ts', import.meta.url), { type: 'module' })
  const died = new Promise<never>((_, reject) => {
    made.addEventListener('error', () => {
      made.terminate()
      remote = null
      reject(new Error('the solver could not start'))
    })
  })
  died.catch(() => undefined)
  remote = { proxy: wrap<LinearApi>(made), died }
  return remote
}

export const solveLinear: SolveLinear = async (programme) => {
  const { proxy, died } = worker()
  return Promise.race([proxy.solve(programme), died])
}
