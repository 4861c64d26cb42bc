/** Linear programmes are solved away from the page, by a solver that is fetched from this server when first asked for. */
import type { SolveLinear } from '@harina/core'
import { createPool } from './jobs.ts'
import type { LinearJobs } from './linear.worker.ts'

const solver = createPool<LinearJobs>(
  () => new Worker(new URL('./linear.worker.ts', import.meta.url), { type: 'module' }),
)

export const solveLinear: SolveLinear = (programme) => solver.run('solve', programme)
