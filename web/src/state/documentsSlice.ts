/** Records as they stand on the screen: what is stored, with what was changed here and is not stored yet. */
import { HELD, sameValue, type HeldKind, type RecordKind, type Records } from '@harina/core'
import { createEntityAdapter, createSlice, type EntityState, type PayloadAction } from '@reduxjs/toolkit'

interface Heard {
  readonly kind: HeldKind
  readonly records: readonly Records[HeldKind][]
}

/** A stored record that no schema takes: left out of everything, and offered as a file. */
export interface Unreadable {
  readonly kind: RecordKind
  readonly id: string
}

interface Changed {
  readonly kind: HeldKind
  readonly id: string
  /** Null: it goes. */
  readonly record: Records[HeldKind] | null
}

const adapter = createEntityAdapter<Records[HeldKind]>()
type Shelves = Record<HeldKind, EntityState<Records[HeldKind], string>>

export const documentsSlice = createSlice({
  name: 'documents',
  initialState: {
    shelves: Object.fromEntries(HELD.map((kind) => [kind, adapter.getInitialState()])) as Shelves,
    /** Kinds that the store has answered for. */
    heard: [] as HeldKind[],
    unreadable: [] as Unreadable[],
  },
  reducers: {
    /** What is the same stays the same object, so that nothing is drawn anew for it. */
    documentsHeard: ({ shelves, heard }, { payload: { kind, records } }: PayloadAction<Heard>) => {
      if (!heard.includes(kind)) heard.push(kind)
      const shelf = shelves[kind]
      const there = new Set(records.map(({ id }) => id))
      adapter.removeMany(
        shelf,
        shelf.ids.filter((id) => !there.has(id)),
      )
      adapter.setMany(
        shelf,
        records.filter((record) => !sameValue(shelf.entities[record.id], record)),
      )
    },
    unreadableFound: ({ unreadable }, { payload }: PayloadAction<Unreadable>) => {
      if (!unreadable.some((each) => sameValue(each, payload))) unreadable.push(payload)
    },
    unreadableGone: (state, { payload }: PayloadAction<Unreadable>) => {
      state.unreadable = state.unreadable.filter((each) => !sameValue(each, payload))
    },
    documentChanged: ({ shelves }, { payload: { kind, id, record } }: PayloadAction<Changed>) => {
      if (record) adapter.setOne(shelves[kind], record)
      else adapter.removeOne(shelves[kind], id)
    },
  },
})

export type DocumentsState = ReturnType<typeof documentsSlice.getInitialState>
export const { documentsHeard, documentChanged, unreadableFound, unreadableGone } = documentsSlice.actions

export const documentOf = <K extends HeldKind>(
  { shelves }: DocumentsState,
  kind: K,
  id: string,
): Records[K] | undefined => shelves[kind].entities[id] as Records[K] | undefined

const selectors = adapter.getSelectors()
export const documentsOf = <K extends HeldKind>({ shelves }: DocumentsState, kind: K): readonly Records[K][] =>
  selectors.selectAll(shelves[kind]) as readonly Records[HeldKind][] as readonly Records[K][]
