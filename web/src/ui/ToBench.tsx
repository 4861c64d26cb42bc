/** The sheet on paper becomes a batch, from wherever it is looked at. */
import { mixesOf, oneMix, type Kitchen, type Worked } from '@harina/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { store } from '../state/store.ts'
import { takeToBench } from '../state/takeToBench.ts'
import { wasJustRefused } from './refusal.ts'

/** Takes a sheet to the bench in as many mixes as its vessel asks for, and goes there. */
export function useToBench(kitchen: Kitchen) {
  const navigate = useNavigate()
  const [going, setGoing] = useState(false)
  const go = async (worked: Worked, formula: string | null) => {
    const mixes = mixesOf(worked, kitchen)?.mixes ?? 1
    setGoing(true)
    const [first] = await takeToBench(oneMix(worked.sheet, mixes), mixes, kitchen, formula)
    setGoing(false)
    if (first !== undefined) void navigate(`/bench/${first}`)
  }
  return { going, go }
}

export function ToBench({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const { going, go } = useToBench(kitchen)
  const mixes = mixesOf(worked, kitchen)?.mixes ?? 1
  return (
    <button
      type="button"
      className="action"
      disabled={going}
      onClick={() => {
        if (!wasJustRefused()) void go(worked, store.getState().draft.present?.formula ?? null)
      }}
    >
      {mixes > 1 ? `Take ${mixes} mixes to the bench` : 'Take to the bench'}
    </button>
  )
}
