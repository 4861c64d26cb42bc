/** The figures of the pieces at hand; those of ropes and boards only where there are any. */
import { formatNumber, type ShapeShare, type Worked } from '@harina/core'
import { useUnits } from '#web/ui/units.ts'
import { counted, blankWords } from '#web/words/index.ts'

export function Figure({ label, figure, unit, note }: { label: string; figure: string; unit?: string; note?: string }) {
  return (
    <div>
      <p className="small">{label}</p>
      <p className="figure text-4xl leading-tight font-semibold whitespace-nowrap">
        {figure}
        {unit && <span className="text-xl"> {unit}</span>}
      </p>
      {note && <p className="small leading-snug">{note}</p>}
    </div>
  )
}

export function PieceFigures({ part, worked }: { part: ShapeShare; worked: Worked }) {
  const { shape, cut, doughG } = part
  const { portionG } = worked
  const { mass, massFigure, units, length } = useUnits()
  const made = shape.paceOf === 'portions' ? doughG / (portionG ?? cut.pieceG) : cut.pieces
  const minutes = Math.ceil(made / shape.piecesPerMin.practised)
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-3 md:grid-cols-5">
      <Figure
        label={shape.paceOf === 'strands' ? 'strands' : 'pieces'}
        figure={formatNumber(cut.pieces, 0)}
        note={`${mass(cut.leftoverG, 0.1)} left over`}
      />
      <Figure
        label="each"
        figure={massFigure(cut.pieceG, 0.01)}
        unit={units.mass}
        note={
          portionG === null
            ? ''
            : `${formatNumber(portionG / cut.pieceG, portionG / cut.pieceG < 3 ? 1 : 0)} in a portion`
        }
      />
      {cut.rope && (
        <Figure label="rope in all" figure={length(cut.rope.ropeMm)} note={blankWords(shape.blank, { length })} />
      )}
      {cut.rope && (
        <Figure
          label="board lengths"
          figure={formatNumber(cut.rope.ropes, 0)}
          note={`${counted(cut.rope.piecesPerBoard, 'piece')} from one`}
        />
      )}
      <Figure
        label="one pair of hands"
        figure={formatNumber(minutes, 0)}
        unit="min"
        note={`${shape.piecesPerMin.practised} ${shape.paceOf} a minute; ${shape.piecesPerMin.learner} while learning`}
      />
    </div>
  )
}
