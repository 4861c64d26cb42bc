import { crossSection, engrave } from '@harina/core/engraving'
import type { Shape } from '@harina/core'
import { offer } from './jobs.ts'

type Drawn = Pick<Shape, 'form' | 'wallMm'>
const jobs = { engrave: (shape: Drawn) => engrave(shape), crossSection: (shape: Drawn) => crossSection(shape) }

export type EngravingJobs = typeof jobs
offer(jobs)
