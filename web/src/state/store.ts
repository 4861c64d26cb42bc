import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { batchesSlice } from './batchesSlice.ts'
import { clockSlice } from './clockSlice.ts'
import { documentsSlice } from './documentsSlice.ts'
import { draftSlice } from './draftSlice.ts'
import { listening } from './listening.ts'
import { preferencesSlice, readPreferences } from './preferencesSlice.ts'

// What has ended may be ten thousand batches, told by the store alone: the checks of development pass over it.
const unwatched = { ignoredPaths: ['batches.ended'], ignoredActionPaths: ['payload'], warnAfter: 300 }

const createStore = () =>
  configureStore({
    reducer: {
      documents: documentsSlice.reducer,
      draft: draftSlice.reducer,
      batches: batchesSlice.reducer,
      clock: clockSlice.reducer,
      preferences: preferencesSlice.reducer,
    },
    preloadedState: { preferences: readPreferences() },
    middleware: (defaults) =>
      defaults({
        serializableCheck: unwatched,
        immutableCheck: { ignoredPaths: unwatched.ignoredPaths, warnAfter: 300 },
      }).prepend(listening.middleware),
  })

export const store = createStore()
export type AppState = ReturnType<typeof store.getState>
export const useApp = useSelector.withTypes<AppState>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
