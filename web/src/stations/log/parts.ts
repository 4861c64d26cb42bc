/** A dough and its parts: one story in the log. */
import { activeEvents, madeG, partOfBatch, type BatchSummary, type Finish, type Verdict } from '@harina/core'
import { useMemo } from 'react'
import { selectEnded, useRunningBatches } from '#web/state/select.ts'
import { useApp } from '#web/state/store.ts'

/** A row of the list: a dough with the parts of it that were found, or a part whose dough was not. */
export interface InList {
  readonly batch: BatchSummary
  /** Stands under its dough. */
  readonly under: boolean
  /** Its own word, or its dough's, or that of one of its parts. */
  readonly verdict: Verdict | null
}

/** Each part under its dough, wherever in time it ended; in the order of the doughs. */
export function underTheirDough(batches: readonly BatchSummary[], all: readonly BatchSummary[]): readonly InList[] {
  const byId = new Map(all.map((batch) => [batch.id, batch]))
  const rootOf = (batch: BatchSummary): string => {
    // A file may name parts in a circle.
    const seen = new Set<string>()
    let at = batch
    while (at.part && byId.has(at.part.batch) && !seen.has(at.id)) {
      seen.add(at.id)
      at = byId.get(at.part.batch)!
    }
    return at.id
  }
  const verdicts = new Map<string, Verdict>()
  for (const batch of all) if (batch.part && batch.verdict) verdicts.set(rootOf(batch), batch.verdict)
  for (const batch of all) if (!batch.part && batch.verdict) verdicts.set(batch.id, batch.verdict)
  const parts = new Map<string, BatchSummary[]>()
  const shown = new Set(batches.map(({ id }) => id))
  const isUnder = (batch: BatchSummary) => rootOf(batch) !== batch.id && shown.has(rootOf(batch))
  for (const batch of batches) {
    if (!isUnder(batch)) continue
    const root = rootOf(batch)
    parts.set(root, [...(parts.get(root) ?? []), batch])
  }
  const row = (batch: BatchSummary, under: boolean): InList => ({
    batch,
    under,
    verdict: batch.verdict ?? verdicts.get(rootOf(batch)) ?? null,
  })
  return batches
    .filter((batch) => !isUnder(batch))
    .flatMap((batch) => [row(batch, false), ...(parts.get(batch.id) ?? []).map((part) => row(part, true))])
}

export interface Part {
  readonly id: string
  readonly for: string | null
  readonly shape: string
  readonly grams: number
  readonly finish: Finish | null
  readonly verdict: Verdict | null
  readonly isOpen: boolean
}

/** What was taken off this dough, ended or still at hand. */
export function useParts(id: string): readonly Part[] {
  const ended = useApp(selectEnded)
  const running = useRunningBatches()
  return useMemo(() => {
    const closed = (ended ?? []).flatMap(({ id: part, part: of, shape, verdict }): Part[] =>
      of?.batch === id
        ? [{ id: part, for: of.for, shape, grams: of.grams, finish: of.finish, verdict, isOpen: false }]
        : [],
    )
    const open = running.flatMap(({ batch, state }): Part[] => {
      const of = partOfBatch(activeEvents(batch.events))
      if (of?.batch !== id) return []
      const { shape } = batch.plan
      const grams = madeG(batch.plan, state)
      return [
        {
          id: batch.id,
          for: of.for,
          shape: shape.name,
          grams,
          finish: state.finish ?? state.skins,
          verdict: state.verdict,
          isOpen: true,
        },
      ]
    })
    return [...closed, ...open]
  }, [ended, running, id])
}
