import type { Draft, Sheet } from '@harina/core'
import {
  draftLoaded,
  draftOpened,
  draftSlice,
  gestureEnded,
  redone,
  sheetEdited,
  undone,
  type DraftState,
} from './draftSlice.ts'

const sheet = (lossPercent: number) => ({ lossPercent }) as Sheet
const draft = (lossPercent: number): Draft => ({ id: 'draft', formula: null, sheet: sheet(lossPercent) })
const { reducer } = draftSlice
const run = (...actions: Parameters<typeof reducer>[1][]): DraftState =>
  actions.reduce<DraftState>((state, action) => reducer(state, action), reducer(undefined, draftLoaded(draft(0))))
const loss = (state: DraftState) => state.present?.sheet.lossPercent

it('undo and redo walk the changes', () => {
  const edits = [sheetEdited({ sheet: sheet(1) }), sheetEdited({ sheet: sheet(2) })]
  expect(loss(run(...edits, undone()))).toBe(1)
  expect(loss(run(...edits, undone(), undone(), undone()))).toBe(0)
  expect(loss(run(...edits, undone(), undone(), redone(), redone(), redone()))).toBe(2)
})

it('a drag undoes as one; the next drag is another', () => {
  const drag = (to: number) => sheetEdited({ sheet: sheet(to), gesture: 'rule' })
  expect(loss(run(drag(1), drag(2), drag(3), undone()))).toBe(0)
  expect(loss(run(drag(1), drag(2), gestureEnded(), drag(3), undone()))).toBe(2)
})

it('a new change ends what could be redone', () => {
  expect(run(sheetEdited({ sheet: sheet(1) }), undone(), sheetEdited({ sheet: sheet(5) })).future).toEqual([])
})

it('opening a formula can be undone too', () => {
  expect(loss(run(draftOpened(draft(9)), undone()))).toBe(0)
})
