import { toLpText, type LinearProgramme } from '@harina/core/blend'
import loadHighs from 'highs'
import wasmUrl from 'highs/runtime?url'
import { offer } from './jobs.ts'

const ready = loadHighs({ locateFile: () => wasmUrl })

const jobs = {
  /** Values of the variables at the least value; null where nothing meets all rows. */
  async solve(programme: LinearProgramme): Promise<Record<string, number> | null> {
    const solution = (await ready).solve(toLpText(programme))
    if (solution.Status !== 'Optimal') return null
    return Object.fromEntries(Object.entries(solution.Columns).map(([name, column]) => [name, column.Primal]))
  },
}

export type LinearJobs = typeof jobs
offer(jobs)
