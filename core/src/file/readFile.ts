/** A file into a workspace, or one problem. Whatever the text is, it is answered: nothing here throws. */
import {
  isOnlyOne,
  isRecord,
  type Loose,
  MAX_EVENTS,
  RECORD_KINDS,
  type RecordKind,
  type Records,
  kinds,
  whole,
} from '../model/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { z } from '../zod.ts'
import { FILE_VERSION, headSchemas, toFile, workspaceOf, type WorkspaceFile } from './workspace.ts'

/** As long as a text can well be in a browser, with room for many thousand batches and several hundred photos. */
export const FILE_MAX_CHARACTERS = 480_000_000

/** Keys that reach an object's prototype; no file of ours has them. */
const HOSTILE_KEYS = new Set(['__proto__', 'constructor', 'prototype'])
/** No list within a record is longer; a file that has one is not read to its end. */
const LONGEST_LIST = MAX_EVENTS

type Harm = 'file-hostile' | 'file-broken'

/** Walks without recursion: a file nested a million deep must not take the page down. */
function harmIn(root: Loose): Harm | null {
  const pending: unknown[] = []
  const enterList = (members: readonly unknown[]): void => {
    for (const member of members) if (typeof member === 'object') pending.push(member)
  }
  const enter = (value: Loose): boolean => {
    for (const key of Object.keys(value)) {
      if (HOSTILE_KEYS.has(key)) return false
      pending.push(value[key])
    }
    return true
  }
  for (const [key, value] of Object.entries(root)) {
    if (HOSTILE_KEYS.has(key)) return 'file-hostile'
    // The lists of records themselves may be long; what is no record in them is refused later, by its schema.
    if (Array.isArray(value)) enterList(value)
    else pending.push(value)
  }
  while (pending.length > 0) {
    const value = pending.pop()
    if (Array.isArray(value)) {
      if (value.length > LONGEST_LIST) return 'file-broken'
      enterList(value)
    } else if (isRecord(value) && !enter(value)) return 'file-hostile'
  }
  return null
}

/** Whether a list, a record or a word that was begun is not ended. */
function endsOpen(text: string): boolean {
  let depth = 0
  let inWord = false
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at]
    if (inWord && sign === '\\') at += 1
    else if (sign === '"') inWord = !inWord
    else if (!inWord && (sign === '{' || sign === '[')) depth += 1
    else if (!inWord && (sign === '}' || sign === ']')) depth -= 1
  }
  return inWord || depth > 0
}

function parse(text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text))
  } catch {
    return problem(/^\s*[[{]/.test(text) && endsOpen(text) ? 'file-cut-short' : 'file-not-json')
  }
}

/** Taken as it is: a list of millions is not copied to be refused at its first record. */
const anyList = z.custom<readonly unknown[]>(Array.isArray)
/** The frame of a file of the newest version; what is in it is checked record by record. */
const frameSchema = z.lazy(() =>
  z.strictObject({
    ...headSchemas(),
    ...Object.fromEntries(RECORD_KINDS.map((kind) => [kinds[kind].home, isOnlyOne(kind) ? z.unknown() : anyList])),
  }),
)

/** Kinds that came later start empty; what they held before is nobody's. */
function frameOf(file: Loose, version: number): Loose {
  const late = RECORD_KINDS.filter((kind) => kinds[kind].since > version)
  return {
    ...file,
    version: FILE_VERSION,
    ...Object.fromEntries(late.map((kind) => [kinds[kind].home, isOnlyOne(kind) ? null : []])),
  }
}

/** From the version it says it is to the newest. What is no record is handed on, and refused by its schema. */
function upgraded(kind: RecordKind, value: unknown, version: number): unknown {
  const { upgrades } = kinds[kind]
  let record = value
  for (let to = version + 1; to <= FILE_VERSION; to += 1) {
    const upgrade = upgrades[to]
    if (upgrade && isRecord(record)) record = upgrade(record)
  }
  return record
}

function broken(at: string, { issues: [issue] }: z.core.$ZodError) {
  const markup = issue?.code === 'custom' && issue.params?.['code'] === 'not-plain-text'
  return problem(
    markup ? 'file-markup' : 'file-broken',
    [at, ...(issue?.path ?? [])].filter((part) => part !== '').join('.'),
  )
}

/** Told now and then while a long file is read: records done, of so many. */
export type OnRead = (done: number, of: number) => void
const TELL_EVERY = 100

function readRecords(file: Loose, version: number, onRead: OnRead): Result<WorkspaceFile> {
  const frame = frameSchema.safeParse(frameOf(file, version))
  if (!frame.success) return broken('', frame.error)
  const frames: Loose = frame.data
  const written = (kind: RecordKind): readonly unknown[] => {
    const held = frames[kinds[kind].home]
    return isOnlyOne(kind) ? (held === null ? [] : [held]) : (held as readonly unknown[])
  }
  const of = RECORD_KINDS.reduce((sum, kind) => sum + written(kind).length, 0)
  let done = 0
  const read = new Map<RecordKind, Records[RecordKind][]>()
  for (const kind of RECORD_KINDS) {
    const { home } = kinds[kind]
    const ids = new Set<string>()
    const rows: Records[RecordKind][] = []
    for (const [index, value] of written(kind).entries()) {
      const checked = kinds[kind].schema.safeParse(upgraded(kind, value, version))
      if (!checked.success) return broken(isOnlyOne(kind) ? home : `${home}.${index}`, checked.error)
      if (ids.has(checked.data.id)) return problem('file-broken', home)
      ids.add(checked.data.id)
      rows.push(checked.data)
      if ((done += 1) % TELL_EVERY === 0) onRead(done, of)
    }
    read.set(kind, rows)
  }
  return ok(
    toFile(
      workspaceOf((kind) => read.get(kind) ?? []),
      frame.data.exportedAt,
    ),
  )
}

function readAny(text: string, onRead: OnRead): Result<WorkspaceFile> {
  if (text.length > FILE_MAX_CHARACTERS) return problem('file-too-big')
  if (!/\S/.test(text)) return problem('file-empty')
  const parsed = parse(text)
  if (!parsed.ok) return parsed
  const head = z
    .looseObject({ format: z.literal('harina'), version: whole(1, Number.MAX_SAFE_INTEGER) })
    .safeParse(parsed.value)
  if (!isRecord(parsed.value) || !head.success) return problem('file-foreign')
  const { version } = head.data
  const harm = harmIn(parsed.value)
  if (harm) return problem(harm, harm === 'file-broken' ? '' : undefined)
  if (version > FILE_VERSION) return problem('file-newer', undefined, { version })
  return readRecords(parsed.value, version, onRead)
}

/**
 * Text of a file in, a workspace out, or one problem: `file-empty`, `file-too-big`, `file-cut-short`, `file-not-json`,
 * `file-hostile`, `file-foreign`, `file-newer` (data: version), `file-markup` (path), `file-broken` (path).
 */
export function readWorkspaceFile(text: string, onRead: OnRead = () => undefined): Result<WorkspaceFile> {
  try {
    return readAny(text, onRead)
  } catch {
    // A fault of ours, or a file beyond what the machine can hold: either way it is not taken.
    return problem('file-broken', '')
  }
}
