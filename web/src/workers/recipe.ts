/** Recipes are read away from the page, however long they are. */
import { createPool, type JobOptions } from './jobs.ts'
import type { ReadInput, RecipeJobs } from './recipeJobs.ts'

const reader = createPool<RecipeJobs>(
  () => new Worker(new URL('./recipe.worker.ts', import.meta.url), { type: 'module' }),
  { here: async () => (await import('./recipeJobs.ts')).recipeJobs },
)

export const readRecipe = async (input: ReadInput, options?: JobOptions) => reader.run('read', input, options)
