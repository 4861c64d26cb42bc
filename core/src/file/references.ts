/** Who names whom in a workspace: what a record needs to be read alone, who uses it, and what names nothing. */
import {
  gearParts,
  isKind,
  kinds,
  namedBy,
  nameOf,
  RECORD_KINDS,
  type GearPart,
  type Named,
  type RecordKind,
  type Records,
} from '../model/index.ts'
import { recordsOf, workspaceOf, type Workspace } from './workspace.ts'

export interface User {
  readonly kind: RecordKind
  readonly id: string
  readonly name: string
}

/** Records that name this one. */
export function usersOf(workspace: Workspace, what: RecordKind | GearPart, id: string): readonly User[] {
  return RECORD_KINDS.flatMap((kind) =>
    recordsOf(workspace, kind)
      .filter((record) => namedBy(record, kinds[kind].references).some((named) => named.to === what && named.id === id))
      .map((record): User => ({ kind, id: record.id, name: nameOf(kind, record) })),
  )
}

/**
 * A record and all it needs to be opened elsewhere, from record to record. Gear stays behind: another kitchen has its own
 * places and machines.
 */
export function aloneWith<K extends RecordKind>(workspace: Workspace, kind: K, record: Records[K]): Workspace {
  const taken = new Map<RecordKind, Map<string, Records[RecordKind]>>()
  const pending: { kind: RecordKind; record: Records[RecordKind] }[] = [{ kind, record }]
  for (let next = pending.pop(); next; next = pending.pop()) {
    const of = taken.get(next.kind) ?? new Map<string, Records[RecordKind]>()
    if (of.has(next.record.id)) continue
    taken.set(next.kind, of.set(next.record.id, next.record))
    for (const { to, id } of namedBy(next.record, kinds[next.kind].references)) {
      const found = isKind(to) && recordsOf(workspace, to).find((each) => each.id === id)
      if (found) pending.push({ kind: to, record: found })
    }
  }
  return workspaceOf((each) => [...(taken.get(each)?.values() ?? [])])
}

export interface Dangling extends Named {
  readonly from: User
}

/** References that name nothing here. Ingredients and shapes of the tables are named too: `isKnown` says which those are. */
export function danglingIn(workspace: Workspace, isKnown: (named: Named) => boolean): readonly Dangling[] {
  const holds = ({ to, id }: Named): boolean =>
    isKind(to)
      ? recordsOf(workspace, to).some((record) => record.id === id)
      : (workspace.gear?.[gearParts[to as GearPart].list] ?? []).some((part: { id: string }) => part.id === id)
  return RECORD_KINDS.flatMap((kind) =>
    recordsOf(workspace, kind).flatMap((record) =>
      namedBy(record, kinds[kind].references)
        .filter((named) => !holds(named) && !isKnown(named))
        .map((named) => ({
          ...named,
          from: { kind, id: record.id, name: nameOf(kind, record) },
        })),
    ),
  )
}
