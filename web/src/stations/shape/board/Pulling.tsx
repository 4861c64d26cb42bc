/** Pulled noodles: what every doubling makes of the lump. */
import { blankVolumeMm3, drawnOutMm, pulled, type ShapeShare, type Worked } from '@harina/core'
import { useState } from 'react'
import { QuantityField } from '#web/ui/QuantityField.tsx'
import { useUnits } from '#web/ui/units.ts'
import { Titled } from '../Titled.tsx'
import { counted } from '#web/words/index.ts'

export function Pulling({ part: { shape, cut }, worked }: { part: ShapeShare; worked: Worked }) {
  const { length, mass, lengthFigure, units } = useUnits()
  const { blank } = shape
  const drawn = blank.type === 'rope' ? blank.drawn : undefined
  const volumeMm3 = blankVolumeMm3(blank)
  const listed = drawnOutMm(blank) ?? 0
  const [typed, setTyped] = useState<number | null>(null)
  if (shape.method !== 'pull') return null
  if (blank.type === 'sheet' && blank.drawn) {
    const { thicknessMm, widthMm = blank.widthMm } = blank.drawn
    return (
      <Titled title="Drawn out">
        <p className="leading-snug">
          {counted(cut.pieces, 'strip')} of {mass(cut.pieceG, 1)}, {length(blank.thicknessMm)} thick,{' '}
          {length(blank.widthMm)} wide and {length(blank.lengthMm)} long: each is pulled to {length(thicknessMm)} thick
          {widthMm === blank.widthMm ? '' : `, ${length(widthMm)} wide`} and becomes about {length(listed)} long. Let
          the bounce do the stretching; rest what springs back.
        </p>
      </Titled>
    )
  }
  if (!drawn) return null
  if (drawn.strands === undefined)
    return (
      <Titled title="Drawn out">
        <p className="leading-snug">
          {counted(cut.pieces, 'lump')} of {mass(cut.pieceG, 1)}: each becomes {length(listed)} of strand,{' '}
          {length(drawn.diameterMm)} thick, with rests between. {worked.dough.mixing.at(-1)}
        </p>
      </Titled>
    )
  const loopMm = typed ?? listed
  const folds = Math.round(Math.log2(drawn.strands))
  const rows = pulled({ volumeMm3, loopMm, folds: folds + 1 })
  const widest = rows[0]!.diameterMm
  return (
    <Titled title="Doubling">
      <p className="leading-snug">
        {counted(cut.pieces, 'lump')} of {mass(cut.pieceG, 1)}, each held{' '}
        <QuantityField
          label="Between the hands"
          shown={lengthFigure(loopMm)}
          unit="mm"
          min={50}
          max={2000}
          widthCh={6}
          className="figure text-xl font-semibold"
          onChange={setTyped}
        />{' '}
        {units.length} between the hands once doubled.
      </p>
      <ol className="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2" aria-label="Strands and thickness by folds">
        {rows.map((row) => (
          <li key={row.folds} className={`text-center ${row.folds === folds ? 'font-semibold' : ''}`}>
            <svg width="58" height={widest * 2.2 + 6} aria-hidden="true">
              {Array.from({ length: Math.min(8, row.strands) }, (_, k) => {
                const thick = Math.max(1, row.diameterMm * 2.2)
                const gap = Math.min(thick + 2, 50 / Math.min(8, row.strands))
                return (
                  <rect
                    key={k}
                    x={29 - (Math.min(8, row.strands) * gap) / 2 + k * gap}
                    y="2"
                    width={Math.min(thick, gap - 0.8)}
                    height={widest * 2.2 + 2}
                    fill={row.folds === folds ? 'var(--family)' : 'var(--second)'}
                  />
                )
              })}
            </svg>
            <span className="figure block text-xl leading-tight">{row.strands}</span>
            <span className="sr-only">strands of</span>
            <span className="small block">{length(row.diameterMm)}</span>
          </li>
        ))}
      </ol>
      <p className="small">
        Strands, and how thick each is, after none to {folds + 1} folds; {folds} is usual. A dough that resists wants
        rest, not force.
      </p>
    </Titled>
  )
}
