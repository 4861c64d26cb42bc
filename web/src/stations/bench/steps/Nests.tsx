/** Long strands by the plate: nobody counts ribbons. */
import { formatNumber, type Counted } from '@harina/core'
import { useUnits } from '#web/ui/units.ts'
import { counted } from '#web/words/index.ts'
import { Note } from '../view.tsx'

export function Nests({ all: { count, eachG }, strandG }: { all: Counted; strandG: number }) {
  const { mass } = useUnits()
  return (
    <Note title={`${counted(count, 'portion')} of ${mass(eachG, 1)}`}>
      About {formatNumber(eachG / strandG, 0)} strands to a portion. Weigh the first nest, then go by eye: one a plate,
      or two of {mass(eachG / 2, 1)}. Loosen and dust them at once, and never stack them.
    </Note>
  )
}
