/** The maker's own units, at the edge. */
import type { Problem } from '@harina/core'
import { useMemo } from 'react'
import { selectUnits } from '../state/select.ts'
import { store, useApp } from '../state/store.ts'
import { problemWords, worded, type Worded } from '../words/index.ts'

export function useUnits(): Worded {
  const units = useApp(selectUnits)
  return useMemo(() => worded(units), [units])
}

/** What is wrong and what to do, with the figures in it as this maker reads them. */
export const problemTold = (problem: Problem): string => problemWords(problem, worded(selectUnits(store.getState())))
