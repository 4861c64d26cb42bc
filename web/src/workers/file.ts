import { FILE_MAX_CHARACTERS, problem, type Result, type WorkspaceFile } from '@harina/core'
import type { FileJobs } from './fileJobs.ts'
import { createPool, type JobOptions } from './jobs.ts'

const reader = createPool<FileJobs>(
  () => new Worker(new URL('./file.worker.ts', import.meta.url), { type: 'module' }),
  {
    here: async () => (await import('./fileJobs.ts')).fileJobs,
  },
)

/** A workspace file, read and checked away from the page; one far too large is not read at all. */
export async function readFile(file: File, options: JobOptions): Promise<Result<WorkspaceFile>> {
  if (file.size > FILE_MAX_CHARACTERS) return problem('file-too-big')
  return reader.run('read', file, options)
}
