import { offer } from './jobs.ts'
import { recipeJobs } from './recipeJobs.ts'

offer(recipeJobs)
