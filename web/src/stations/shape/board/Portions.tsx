/** Strands by the portion: how many to a nest. */
import { formatNumber, type ShapeShare, type Worked } from '@harina/core'
import { useUnits } from '#web/ui/units.ts'
import { Titled } from '../Titled.tsx'

export function Portions({ part: { shape, cut, doughG }, worked: { portionG } }: { part: ShapeShare; worked: Worked }) {
  const { mass } = useUnits()
  if (shape.paceOf !== 'strands' || portionG === null || shape.method === 'pull') return null
  const nests = doughG / portionG
  return (
    <Titled title="Nests">
      <p className="leading-snug">
        {formatNumber(nests, nests < 10 ? 1 : 0)} nests of {mass(portionG, 1)}: {formatNumber(portionG / cut.pieceG, 0)}{' '}
        strands each. Weigh the first; then count. Lay them loose, in one layer, and do not stack.
      </p>
    </Titled>
  )
}
