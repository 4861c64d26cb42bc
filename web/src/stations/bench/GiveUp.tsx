import { plainTextFrom, type Batch } from '@harina/core'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { recordTap } from '../../state/recordTap.ts'
import { SidePanel } from '../../ui/SidePanel.tsx'

const usual = ['Too wet to save', 'Too dry to save', 'Ran out of time', 'Not needed after all']

/** A batch given up is kept in the log with its reason; it teaches its flour nothing. */
export default function GiveUp({ batch, onClose }: { batch: Batch; onClose: () => void }) {
  const [reason, setReason] = useState('')
  const navigate = useNavigate()
  const giveUp = async () => {
    await recordTap(batch, { type: 'abandoned', reason: reason.trim() || 'No reason given' })
    onClose()
    void navigate(`/log/${batch.id}`)
  }
  return (
    <SidePanel title="Give this batch up" onClose={onClose} at="middle">
      <p className="mb-4">It leaves the bench and stays in the log, with everything recorded so far.</p>
      <div className="mb-4 grid grid-cols-2 gap-2">
        {usual.map((words) => (
          <button
            key={words}
            type="button"
            aria-pressed={reason === words}
            className="press"
            onClick={() => setReason(words)}
          >
            {words}
          </button>
        ))}
      </div>
      <label className="mb-5 flex flex-col gap-1">
        <span className="small">or in your own words</span>
        <input className="box" value={reason} onChange={(event) => setReason(plainTextFrom(event.target.value, 400))} />
      </label>
      <div className="flex justify-end gap-4">
        <button type="button" className="quiet" onClick={onClose}>
          Keep going
        </button>
        <button type="button" className="action" onClick={() => void giveUp()}>
          Give it up
        </button>
      </div>
    </SidePanel>
  )
}
