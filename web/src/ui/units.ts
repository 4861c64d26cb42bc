/** The maker's own units, at the edge. */
import { useMemo } from 'react'
import { selectUnits } from '../state/select.ts'
import { useApp } from '../state/store.ts'
import { worded, type Worded } from '../words/index.ts'

export function useUnits(): Worded {
  const units = useApp(selectUnits)
  return useMemo(() => worded(units), [units])
}
