/** A file joining a workspace: what is new, what is the same, what differs; and the records to write for it. */
import {
  GEAR_PARTS,
  gearParts,
  isKind,
  isOnlyOne,
  kinds,
  namedBy,
  nameOf,
  RECORD_KINDS,
  sameValue,
  withReferences,
  type Gear,
  type GearPart,
  type RecordKind,
  type Records,
  type Reference,
} from '../model/index.ts'
import { recordsOf, workspaceOf, type Workspace } from './workspace.ts'

export type ClashChoice = 'keep-both' | 'replace' | 'skip'

export interface Clash {
  readonly kind: RecordKind
  readonly id: string
  readonly name: string
}

export interface ImportPreview {
  readonly fresh: number
  /** Already here, to the letter. */
  readonly same: number
  readonly clashes: readonly Clash[]
}

type AnyRecord = Records[RecordKind]
type Standing = 'fresh' | 'same' | 'clash'

const byId = <T extends { id: string }>(rows: readonly T[]): ReadonlyMap<string, T> =>
  new Map(rows.map((row) => [row.id, row]))

const standingOf = (here: ReadonlyMap<string, unknown>, record: { id: string }): Standing => {
  const present = here.get(record.id)
  if (present === undefined) return 'fresh'
  return sameValue(present, record) ? 'same' : 'clash'
}

export interface Preview {
  /** Some of what is here; all of it in the end, in any order and in as many parts as one likes. */
  meet(kind: RecordKind, present: readonly AnyRecord[]): void
  result(): ImportPreview
}

/** What a file would bring to a workspace: so many new, so many the same, and those that differ under one identifier. */
export function previewOfImport(incoming: Workspace): Preview {
  const theirs = new Map(RECORD_KINDS.map((kind) => [kind, byId<AnyRecord>(recordsOf(incoming, kind))]))
  const same = new Set<AnyRecord>()
  const differ = new Set<AnyRecord>()
  return {
    meet(kind, present) {
      for (const record of present) {
        const other = theirs.get(kind)?.get(record.id)
        if (other) (sameValue(record, other) ? same : differ).add(other)
      }
    },
    result() {
      const all = RECORD_KINDS.flatMap((kind) => recordsOf(incoming, kind).map((record) => ({ kind, record })))
      const clashes = all
        .filter(({ record }) => differ.has(record))
        .map(({ kind, record }): Clash => ({ kind, id: record.id, name: nameOf(kind, record) }))
      return { fresh: all.length - same.size - differ.size, same: same.size, clashes }
    },
  }
}

/** The same against a workspace that is at hand whole. */
export function previewImport(current: Workspace, incoming: Workspace): ImportPreview {
  const preview = previewOfImport(incoming)
  for (const kind of RECORD_KINDS) preview.meet(kind, recordsOf(current, kind))
  return preview.result()
}

interface Merge {
  readonly current: Workspace
  readonly choice: ClashChoice
  readonly newId: () => string
}

/** New identifiers, by what they are of. */
class Renames {
  readonly #ids = new Map<string, Map<string, string>>()

  of(what: string, id: string): string | undefined {
    return this.#ids.get(what)?.get(id)
  }

  add(what: string, id: string, next: string): void {
    this.#ids.set(what, (this.#ids.get(what) ?? new Map<string, string>()).set(id, next))
  }
}

/**
 * What is kept beside another gets a new identifier, and so does, as far as it came along, what is a part of it: a copied
 * batch takes its photos and the other part of its dough.
 */
function renamedRecords(incoming: Workspace, { current, choice, newId }: Merge, renames: Renames): void {
  if (choice !== 'keep-both') return
  const several = RECORD_KINDS.filter((kind) => !isOnlyOne(kind))
  const parts: { kind: RecordKind; id: string; of: readonly { to: Reference['to']; id: string }[] }[] = []
  for (const kind of several) {
    const here = byId<AnyRecord>(recordsOf(current, kind))
    for (const record of recordsOf(incoming, kind)) {
      const standing = standingOf(here, record)
      if (standing === 'clash') renames.add(kind, record.id, newId())
      const of = namedBy(record, kinds[kind].references).filter((named) => named.partOf)
      if (standing === 'same' && of.length > 0) parts.push({ kind, id: record.id, of })
    }
  }
  for (let grew = true; grew;) {
    const follow = parts.filter(
      ({ kind, id, of }) => !renames.of(kind, id) && of.some((named) => renames.of(named.to, named.id)),
    )
    for (const { kind, id } of follow) renames.add(kind, id, newId())
    grew = follow.length > 0
  }
}

/** Parts of their gear to add to ours: those we have not, and under a new name those that differ. */
function partsToAdd(incoming: Gear, current: Gear, { choice, newId }: Merge, part: GearPart, renames: Renames) {
  const list = gearParts[part].list
  const here = byId<{ id: string }>(current[list])
  return incoming[list].flatMap((theirs: { id: string }) => {
    const standing = standingOf(here, theirs)
    if (standing === 'fresh') return [theirs]
    if (standing === 'same' || choice === 'skip') return []
    const id = newId()
    renames.add(part, theirs.id, id)
    return [{ ...theirs, id }]
  })
}

/** All that the records of a workspace name in Gear. */
const namedInGear = (workspace: Workspace): ReadonlySet<string> =>
  new Set(
    RECORD_KINDS.flatMap((kind) =>
      recordsOf(workspace, kind).flatMap((record) =>
        namedBy(record, kinds[kind].references).map(({ to, id }) => `${to} ${id}`),
      ),
    ),
  )

/** Theirs, and of ours what our records still name. */
function replacedGear(incoming: Gear, current: Gear, workspace: Workspace): Gear {
  const named = namedInGear({ ...workspace, gear: null })
  return GEAR_PARTS.reduce<Gear>((gear, part) => {
    const list = gearParts[part].list
    const there = byId<{ id: string }>(gear[list])
    const ours = current[list].filter(({ id }: { id: string }) => !there.has(id) && named.has(`${part} ${id}`))
    return { ...gear, [list]: [...gear[list], ...ours] }
  }, incoming)
}

function joinedGear(incoming: Gear, merge: Merge, renames: Renames): Gear {
  const { current, choice } = merge
  if (!current.gear) return incoming
  if (choice === 'replace') return replacedGear(incoming, current.gear, current)
  return GEAR_PARTS.reduce<Gear>((gear, part) => {
    const list = gearParts[part].list
    return { ...gear, [list]: [...gear[list], ...partsToAdd(incoming, gear, merge, part, renames)] }
  }, current.gear)
}

/** A copy that names the other part of its dough, where that did not come along, names nobody: never a part of the original. */
function renamedIn(kind: RecordKind, record: AnyRecord, incoming: Workspace, renames: Renames, newId: () => string) {
  const isCopy = renames.of(kind, record.id) !== undefined
  const cameAlong = (to: string, id: string) => isKind(to) && recordsOf(incoming, to).some((each) => each.id === id)
  return withReferences(record, kinds[kind].references, ({ to, partOf }, id) => {
    const next = renames.of(to, id)
    if (next !== undefined) return next
    return partOf && isCopy && !cameAlong(to, id) ? newId() : id
  })
}

/** The records to write so that a file joins a workspace; references follow records that are kept under a new identifier. */
export function mergeImport(incoming: Workspace, merge: Merge): Workspace {
  const { current, choice, newId } = merge
  const renames = new Renames()
  renamedRecords(incoming, merge, renames)
  const gear = incoming.gear && joinedGear(incoming.gear, merge, renames)
  return workspaceOf((kind) => {
    if (kind === 'gear') return gear ? [gear] : []
    const here = byId<AnyRecord>(recordsOf(current, kind))
    const written = recordsOf(incoming, kind).filter((record) => {
      const standing = standingOf(here, record)
      if (standing === 'fresh') return true
      if (isOnlyOne(kind)) return standing === 'clash' && choice === 'replace'
      return choice === 'keep-both'
        ? renames.of(kind, record.id) !== undefined
        : standing === 'clash' && choice === 'replace'
    })
    return written.map((record) => ({
      ...renamedIn(kind, record, incoming, renames, newId),
      id: renames.of(kind, record.id) ?? record.id,
    })) as AnyRecord[]
  })
}
