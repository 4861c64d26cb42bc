import { readWorkspaceFile, type Result, type WorkspaceFile } from '@harina/core'

/** Reading a file: the text, its records and their checks, away from the page that shows how far it is. */
export const fileJobs = {
  read: async (file: Blob, tell: (done: number, of: number) => void): Promise<Result<WorkspaceFile>> =>
    readWorkspaceFile(await file.text(), tell),
}
export type FileJobs = typeof fileJobs
