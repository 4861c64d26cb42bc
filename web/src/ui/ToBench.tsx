/** The sheet on paper becomes a batch, from wherever it is looked at. */
import { mixesOf, oneMix, type Kitchen, type Worked } from '@harina/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { store } from '../state/store.ts'
import { takeToBench } from '../state/takeToBench.ts'
import { wasJustRefused } from './refusal.ts'

export function ToBench({ worked, kitchen }: { worked: Worked; kitchen: Kitchen }) {
  const navigate = useNavigate()
  const [going, setGoing] = useState(false)
  const mixes = mixesOf(worked, kitchen)?.mixes ?? 1
  const go = async () => {
    if (wasJustRefused()) return
    setGoing(true)
    const formula = store.getState().draft.present?.formula ?? null
    const [first] = await takeToBench(oneMix(worked.sheet, mixes), mixes, kitchen, formula)
    setGoing(false)
    if (first !== undefined) void navigate(`/bench/${first}`)
  }
  return (
    <button type="button" className="action" disabled={going} onClick={() => void go()}>
      {mixes > 1 ? `Take ${mixes} mixes to the bench` : 'Take to the bench'}
    </button>
  )
}
