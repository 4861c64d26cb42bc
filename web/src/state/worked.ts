/** The draft's figures. Only what shows or changes a sheet asks for them: the page begins without the reckoning. */
import { computeSheet } from '@harina/core'
import { createSelector, weakMapMemoize } from '@reduxjs/toolkit'
import { selectKitchen, selectSheet } from './select.ts'
import { useApp } from './store.ts'

/** A sheet to its figures; asked again for the same sheet in the same kitchen it answers from memory. */
export const workOut = weakMapMemoize(computeSheet)

/** The draft's figures; null while there is no draft or the kitchen is not known. */
export const selectWorked = createSelector([selectSheet, selectKitchen], (sheet, kitchen) =>
  sheet && kitchen ? workOut(sheet, kitchen) : null,
)

export const useWorked = () => useApp(selectWorked)
