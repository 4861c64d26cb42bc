/** Workspace files out of the app and into it. */
import {
  emptyWorkspace,
  FILE_MAX_CHARACTERS,
  readWorkspaceFile,
  toFile,
  problem,
  type Formula,
  type Result,
  type Workspace,
  type WorkspaceFile,
} from '@harina/core'
import { format } from 'date-fns'
import { download, plainFileName } from './download.ts'
import { repository } from './index.ts'

const fileText = (workspace: Workspace): string =>
  `${JSON.stringify(toFile(workspace, new Date().toISOString()), null, 1)}\n`

const fileName = (words: string): string =>
  `${plainFileName(words) || 'formula'}-${format(new Date(), 'yyyy-MM-dd')}.harina.json`

const save = (name: string, text: string) => download(name, text, 'application/json')

export async function exportEverything(): Promise<void> {
  save(fileName('harina'), fileText(await repository.workspace()))
}

/** One formula and the flour lots it names. */
export async function exportFormula(formula: Formula): Promise<void> {
  const named = new Set(formula.sheet.rows.map((row) => row.lot))
  const lots = (await repository.lots()).filter((lot) => named.has(lot.id))
  save(fileName(formula.sheet.name), fileText({ ...emptyWorkspace, formulas: [formula], lots }))
}

/** Reads a file without holding an enormous one in memory. */
export async function readFile(file: File): Promise<Result<WorkspaceFile>> {
  if (file.size > FILE_MAX_CHARACTERS) return problem('file-too-big')
  return readWorkspaceFile(await file.text())
}
