import { dryingJobs } from './dryingJobs.ts'
import { offer } from './jobs.ts'

offer(dryingJobs)
