/** Ropes on the board; the first piece is the reference the others are held against. */
import { type ShapeShare, type Worked } from '@harina/core'
import { RopeOnBoard } from '#web/ui/RopeOnBoard.tsx'
import { useUnits } from '#web/ui/units.ts'
import { Titled } from '../Titled.tsx'
import { counted } from '#web/words/index.ts'

interface Props {
  readonly part: ShapeShare
  readonly worked: Worked
  readonly boardMm: number
}

export function RopesOnBoard({ part: { shape, cut }, worked, boardMm }: Props) {
  const { length, mass } = useUnits()
  const { blank } = shape
  if (blank.type !== 'rope' || !cut.rope || shape.method === 'pull') return null
  const { piecesPerBoard, ropes, ropeMm } = cut.rope
  const fits = blank.cutMm <= boardMm
  return (
    <Titled title="Ropes on the board">
      {fits && (
        <RopeOnBoard
          boardMm={boardMm}
          diameterMm={blank.diameterMm}
          cutMm={blank.cutMm}
          pieces={piecesPerBoard}
          family={worked.dough.family}
        />
      )}
      <p className="leading-snug">
        {fits
          ? `${counted(ropes, 'rope')} of ${length(Math.min(boardMm, ropeMm))}, ${length(blank.diameterMm)} thick; ${counted(piecesPerBoard, 'cut')} of ${length(blank.cutMm)} from each.`
          : `Each piece is longer than the board: cut ${length(blank.cutMm)} from a rope laid in a bow.`}{' '}
        The first piece is the reference, {mass(cut.pieceG, 0.1)}: lay it beside the board and hold every twentieth
        against it.
      </p>
    </Titled>
  )
}
