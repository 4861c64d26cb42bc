/** The kitchen every figure is computed in: tables, gear, lots and what past batches have taught. */
import {
  computeSheet,
  defaultGear,
  ingredientTable,
  shapeTable,
  summarise,
  thirstByLot,
  type Batch,
  type BatchSummary,
  type Kitchen,
  type Result,
  type Worked,
} from '@harina/core'
import { useLiveQuery } from 'dexie-react-hooks'
import { createContext, useContext, useMemo, type ReactNode } from 'react'
import { useApp } from '../state/store.ts'
import { repository } from '../storage/index.ts'
import { tables } from './tables.ts'

/** A closed batch changes only by growing, so its summary is kept under its identifier and length. */
const summaries = new Map<string, BatchSummary>()
export function summaryOf(batch: Batch): BatchSummary {
  const key = `${batch.id}/${batch.events.length}`
  const known = summaries.get(key)
  if (known) return known
  const summary = summarise(batch)
  summaries.set(key, summary)
  return summary
}

const KitchenContext = createContext<Kitchen | null>(null)
const WorkedContext = createContext<Result<Worked> | null>(null)

export function KitchenProvider({ children }: { children: ReactNode }) {
  const gear = useLiveQuery(() => repository.gear().then((found) => found ?? defaultGear))
  const lots = useLiveQuery(() => repository.lots())
  const own = useLiveQuery(() => repository.ingredients())
  const ownShapes = useLiveQuery(() => repository.shapes())
  const closed = useLiveQuery(() => repository.closedBatches())
  const { ingredientRows, shapeRows, doughs, schools } = tables()
  const kitchen = useMemo(
    () =>
      gear && lots && own && ownShapes && closed
        ? {
            doughs,
            shapes: shapeTable([...shapeRows, ...ownShapes]),
            schools,
            ingredients: ingredientTable([...ingredientRows, ...own]),
            gear,
            lots,
            thirst: thirstByLot(closed.map(summaryOf)),
          }
        : null,
    [gear, lots, own, ownShapes, closed, ingredientRows, doughs, shapeRows, schools],
  )
  const draft = useApp((state) => state.draft.present)
  const worked = useMemo(() => (draft && kitchen ? computeSheet(draft.sheet, kitchen) : null), [draft, kitchen])
  return (
    <KitchenContext value={kitchen}>
      <WorkedContext value={worked}>{children}</WorkedContext>
    </KitchenContext>
  )
}

/** Null until the store has answered. */
export const useKitchen = (): Kitchen | null => useContext(KitchenContext)

/** The draft's figures; null while there is no draft or the store has not answered. */
export const useWorked = (): Result<Worked> | null => useContext(WorkedContext)
