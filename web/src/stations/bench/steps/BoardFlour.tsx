/** Flour that the dough takes up from the board, by weighing its jar before and after. */
import { boardFlour, formatPoints } from '@harina/core'
import { lazy, Suspense, useState } from 'react'
import { useUnits } from '#web/ui/units.ts'
import { useBench } from '../view.tsx'

const JarPanel = lazy(() => import('../panels/JarPanel.tsx'))

export function BoardFlour() {
  const { running } = useBench()
  const { state } = running
  const { mass } = useUnits()
  const [open, setOpen] = useState(false)
  const { grams, points } = boardFlour(state)
  return (
    <div className="border-l-2 border-second pl-3 text-label leading-snug">
      <h2 className="head text-lg leading-tight">Flour from the board</h2>
      <p className="text-second">
        {grams > 0
          ? `${mass(grams, grams < 10 ? 0.1 : 1)} taken up: ${formatPoints(points)} points.`
          : state.jarG === null
            ? 'Weigh its jar now, and again after: the dough takes it up.'
            : `The jar stood at ${mass(state.jarG)}.`}{' '}
        <button type="button" className="quiet" onClick={() => setOpen(true)}>
          Weigh the jar
        </button>
      </p>
      {open && (
        <Suspense>
          <JarPanel onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </div>
  )
}
