import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { benchSlice } from './benchSlice.ts'
import { draftSlice } from './draftSlice.ts'
import { preferencesSlice, readPreferences } from './preferencesSlice.ts'

const createStore = () =>
  configureStore({
    reducer: { draft: draftSlice.reducer, bench: benchSlice.reducer, preferences: preferencesSlice.reducer },
    preloadedState: { preferences: readPreferences(localStorage) },
    // The checks walk every batch after every keystroke; the reducers are tested instead.
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  })

export const store = createStore()
export type AppState = ReturnType<typeof store.getState>
export const useApp = useSelector.withTypes<AppState>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
