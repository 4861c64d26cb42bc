import { fileJobs } from './fileJobs.ts'
import { offer } from './jobs.ts'

offer(fileJobs)
