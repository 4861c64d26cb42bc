/** Workspace files out of the app and into it. */
import {
  aloneWith,
  FILE_MAX_CHARACTERS,
  isOnlyOne,
  kinds,
  mergeImport,
  previewOfImport,
  RECORD_KINDS,
  toFile,
  emptyWorkspace,
  type ClashChoice,
  type Formula,
  type ImportPreview,
  type RecordKind,
  type WorkspaceFile,
} from '@harina/core'
import { format as dated } from 'date-fns'
import { nanoid } from 'nanoid'
import { download, plainFileName } from '../devices/download.ts'
import { repository } from '../storage/index.ts'
import { unreadableGone, type Unreadable } from './documentsSlice.ts'
import { tellFailure } from './failure.ts'
import { heldWorkspace } from './select.ts'
import { store } from './store.ts'

const fileName = (words: string): string =>
  `${plainFileName(words) || 'formula'}-${dated(new Date(), 'yyyy-MM-dd')}.harina.json`

const save = (name: string, parts: readonly BlobPart[]) => download(name, new Blob([...parts]), 'application/json')

/** The file in pieces, a record each, so that it is never one long text in memory. */
function piecesOf(rows: ReadonlyMap<RecordKind, readonly string[]>): string[] {
  const { format, version, exportedAt } = toFile(emptyWorkspace, new Date().toISOString())
  const head = { format, version, exportedAt }
  const lists = RECORD_KINDS.map((kind) => {
    const texts = rows.get(kind) ?? []
    return `"${kinds[kind].home}": ${isOnlyOne(kind) ? (texts[0] ?? 'null') : `[\n${texts.join(',\n')}\n]`}`
  })
  return [`${JSON.stringify(head).slice(0, -1)},\n`, lists.join(',\n'), '\n}\n']
}

export interface Exported {
  /** Too long to be read again; it was saved without the photos. */
  readonly withoutPhotos: boolean
}

const lengthOf = (pieces: readonly string[]) => pieces.reduce((sum, piece) => sum + piece.length, 0)

/** Everything there is, as one file that can be read again. */
export async function exportEverything(): Promise<Exported> {
  const rows = new Map<RecordKind, string[]>()
  await repository.each((kind, records) => {
    const texts = rows.get(kind) ?? []
    for (const record of records) texts.push(JSON.stringify(record))
    rows.set(kind, texts)
  })
  let pieces = piecesOf(rows)
  const withoutPhotos = lengthOf(pieces) > FILE_MAX_CHARACTERS
  if (withoutPhotos) pieces = piecesOf(new Map([...rows].filter(([kind]) => kind !== 'photo')))
  save(fileName('harina'), pieces)
  return { withoutPhotos }
}

/** One formula, and the lots, ingredients and shapes of the maker's own that it needs. */
export function exportFormula(formula: Formula): void {
  const file = toFile(aloneWith(heldWorkspace(store.getState()), 'formula', formula), new Date().toISOString())
  save(fileName(formula.sheet.name), [`${JSON.stringify(file, null, 1)}\n`])
}

/** A record that cannot be shown, as it lies in the store. */
export async function exportRaw({ kind, id }: Unreadable): Promise<void> {
  const record = await repository.raw(kind, id)
  save(fileName(`${kind}-${id}`), [JSON.stringify({ kind, record }, null, 1)])
}

export async function discard(what: Unreadable): Promise<void> {
  await repository.discard(what.kind, what.id)
  store.dispatch(unreadableGone(what))
}

/** Laid beside what is here a part at a time, so that the page stays awake over a long log. */
export async function previewOf(file: WorkspaceFile): Promise<ImportPreview> {
  const preview = previewOfImport(file)
  await repository.each(preview.meet)
  return preview.result()
}

/** Whether it is in: all of it, or nothing. */
export async function bringIn(file: WorkspaceFile, choice: ClashChoice): Promise<boolean> {
  try {
    await repository.merge((current) => mergeImport(file, { current, choice, newId: () => nanoid() }))
    return true
  } catch (error) {
    tellFailure(error, 'Nothing of the file was brought in.')
    return false
  }
}

/** Whether everything is gone. */
export async function clearEverything(): Promise<boolean> {
  try {
    await repository.clear()
    return true
  } catch (error) {
    tellFailure(error, 'Nothing was cleared.')
    return false
  }
}
