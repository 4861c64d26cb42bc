/** Drying and cooking are worked out away from the page; the same question asked again is answered from memory. */
import type { ProgrammeRequest } from '@harina/core/rack'
import type { Piece } from '@harina/core/stove'
import type { DryingJobs, ForecastInput } from './dryingJobs.ts'
import { createPool, remembered, type JobOptions } from './jobs.ts'

const dryer = createPool<DryingJobs>(
  () => new Worker(new URL('./drying.worker.ts', import.meta.url), { type: 'module' }),
  { hands: 2, here: async () => (await import('./dryingJobs.ts')).dryingJobs },
)

const FORECASTS_KEPT = 60
export const forecastOf = remembered(
  async (input: ForecastInput) => dryer.run('forecast', input),
  JSON.stringify,
  FORECASTS_KEPT,
)

const COMPARED_KEPT = 30
export const compared = remembered(
  async (trays: Parameters<DryingJobs['compare']>[0]) => dryer.run('compare', trays),
  JSON.stringify,
  COMPARED_KEPT,
)

const COOKINGS_KEPT = 60
export const cookingFor = remembered(async (piece: Piece) => dryer.run('cooking', piece), JSON.stringify, COOKINGS_KEPT)

export const findProgrammes = async (request: ProgrammeRequest, options: JobOptions) =>
  dryer.run('programme', request, options)
