/** What is worked out from what is held: each figure once, and anew only when what it hangs on has changed. */
import {
  currentStep,
  defaultUnits,
  HELD,
  ingredientTable,
  isKept,
  replay,
  kinds,
  shapeTable,
  thirstByLot,
  pressedWell,
  provenWell,
  workspaceOf,
  type Batch,
  type BenchState,
  type Gear,
  type HeldKind,
  type Kitchen,
  type PlannedStep,
  type RecordKind,
  type Units,
  type Workspace,
  type Dough,
  type Plan,
} from '@harina/core'
import { createSelector, weakMapMemoize } from '@reduxjs/toolkit'
import { documentOf, documentsOf } from './documentsSlice.ts'
import { useApp, type AppState } from './store.ts'
import { tables } from './tables.ts'

export const selectFormulas = ({ documents }: AppState) => documentsOf(documents, 'formula')
export const selectIngredients = ({ documents }: AppState) => documentsOf(documents, 'ingredient')
export const selectEnded = ({ batches }: AppState) => batches.ended
export const selectSheet = ({ draft }: AppState) => draft.present?.sheet
const selectLots = ({ documents }: AppState) => documentsOf(documents, 'lot')
const selectOwnShapes = ({ documents }: AppState) => documentsOf(documents, 'shape')
const selectGear = ({ documents }: AppState): Gear | undefined => documentOf(documents, 'gear', 'gear')
export const selectUnits = (state: AppState): Units => selectGear(state)?.units ?? defaultUnits
const selectAllHeard = ({ documents }: AppState): boolean => HELD.every((kind) => documents.heard.includes(kind))

const isHeld = (kind: RecordKind): kind is HeldKind => kinds[kind].held

/** All that this page holds, as a workspace: without what has ended, and without photos. */
export const heldWorkspace = ({ documents, draft, batches }: AppState): Workspace =>
  workspaceOf((kind) => {
    if (isHeld(kind)) return documentsOf(documents, kind)
    if (kind === 'batch') return batches.open
    return kind === 'draft' && draft.present ? [draft.present] : []
  })

const selectIngredientTable = createSelector([selectIngredients], (own) =>
  ingredientTable([...tables().ingredientRows, ...own]),
)
const selectShapeTable = createSelector([selectOwnShapes], (own) => shapeTable([...tables().shapeRows, ...own]))
const selectThirst = createSelector([selectEnded], (ended) => ended && thirstByLot(ended, tables().doughs))
/** What went through presses, and what came out well. */
const selectTried = createSelector(
  [selectEnded],
  (ended) => ended && { pressed: pressedWell(ended), proven: provenWell(ended) },
)

const selectToday = ({ clock }: AppState) => clock.todayMs

/** The kitchen every figure is computed in: tables, gear, lots and what past batches have taught. Null until all of it is heard. */
export const selectKitchen = createSelector(
  [
    selectAllHeard,
    selectGear,
    selectLots,
    selectIngredientTable,
    selectShapeTable,
    selectThirst,
    selectTried,
    selectToday,
  ],
  (heard, gear, lots, ingredients, shapes, thirst, tried, todayMs): Kitchen | null => {
    if (!heard || !gear || !thirst || !tried) return null
    const { doughs, schools } = tables()
    return { doughs, shapes, schools, ingredients, gear, lots, thirst, ...tried, todayMs }
  },
)

export interface RunningBatch {
  readonly batch: Batch
  readonly state: BenchState
  readonly step: PlannedStep | null
}

export const runningBatch = weakMapMemoize((batch: Batch): RunningBatch => {
  const state = replay(batch.plan, batch.events)
  return { batch, state, step: currentStep(batch.plan, state) }
})

/** Batches at the bench, the first begun first. */
export const selectRunning = createSelector([({ batches }: AppState) => batches.open], (open) =>
  [...open].sort((a, b) => Date.parse(a.plan.at) - Date.parse(b.plan.at)).map((batch) => runningBatch(batch)),
)

/** Batches that wait in the fridge, in the freezer or on the rack: out of the bench's way until they are taken out. */
const selectKept = createSelector([selectRunning], (running) => running.filter(({ step }) => step && isKept(step)))
export const selectAtBench = createSelector([selectRunning], (running) =>
  running.filter(({ step }) => !step || !isKept(step)),
)

export const useKitchen = (): Kitchen | null => useApp(selectKitchen)
/** Whose ink and mark a dough has; until the tables are here, semolina's. */
export const familyOf = (kitchen: Pick<Kitchen, 'doughs'> | null, dough: string): Dough['family'] =>
  kitchen?.doughs.get(dough)?.family ?? 'semolina'
export const useFamily = ({ sheet }: Plan): Dough['family'] => familyOf(useKitchen(), sheet.dough)
export const useKept = (): readonly RunningBatch[] => useApp(selectKept)
export const useAtBench = (): readonly RunningBatch[] => useApp(selectAtBench)
/** Every open batch, at the bench or kept: its clocks run on. */
export const useRunningBatches = (): readonly RunningBatch[] => useApp(selectRunning)
