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
import { repository } from './index.ts'

function download(name: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

const fileText = (workspace: Workspace): string =>
  `${JSON.stringify(toFile(workspace, new Date().toISOString()), null, 1)}\n`

/** A name any file system takes. */
const fileName = (words: string): string => {
  const plain = words
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase()
  return `${plain || 'formula'}-${format(new Date(), 'yyyy-MM-dd')}.harina.json`
}

export async function exportEverything(): Promise<void> {
  download(fileName('harina'), fileText(await repository.workspace()))
}

/** One formula and the flour lots it names. */
export async function exportFormula(formula: Formula): Promise<void> {
  const named = new Set(formula.sheet.rows.map((row) => row.lot))
  const lots = (await repository.lots()).filter((lot) => named.has(lot.id))
  download(fileName(formula.sheet.name), fileText({ ...emptyWorkspace, formulas: [formula], lots }))
}

/** Reads a file without holding an enormous one in memory. */
export async function readFile(file: File): Promise<Result<WorkspaceFile>> {
  if (file.size > FILE_MAX_CHARACTERS) return problem('file-too-big')
  return readWorkspaceFile(await file.text())
}
