import { formatLength, formatNumber, type Worked } from '@harina/core'
import { Link } from 'react-router'
import { RopeAndCut } from '../../ui/RopeAndCut.tsx'

function Fact({ name, figure, note }: { name: string; figure: string; note: string }) {
  return (
    <div>
      <p className="small">{name}</p>
      <p className="figure text-[24px] leading-tight font-semibold">{figure}</p>
      <p className="small leading-snug">{note}</p>
    </div>
  )
}

/** What follows from the sheet for the rest of the work. */
export function FootFacts({ worked }: { worked: Worked }) {
  const { rope, shape, dough } = worked
  const water = dough.waterC[0]
  return (
    <div className="grid grid-cols-2 gap-x-8 gap-y-3 md:grid-cols-[auto_repeat(4,1fr)]">
      <Link to="/shape" className="col-span-2 md:col-span-1">
        <span className="sr-only">Open the Shape station: </span>
        <RopeAndCut diameterMm={shape.blank.diameterMm} cutMm={shape.blank.cutMm} family={dough.family} />
      </Link>
      <Fact
        name={shape.name}
        figure={`${formatNumber(rope.pieces, 0)} ${rope.pieces === 1 ? 'piece' : 'pieces'}`}
        note={`${formatNumber(rope.pieceG, 2)} g each, ${formatLength(rope.ropeMm)} of rope, ${rope.ropes === 1 ? 'one board length' : `${rope.ropes} board lengths`}`}
      />
      {water && <Fact name="Water" figure={`${water.fromC} to ${water.toC} °C`} note={water.why} />}
      <Fact
        name="Knead, then rest"
        figure={`${dough.kneadMin[0]} to ${dough.kneadMin[1]}, ${dough.restMin.best} min`}
        note={`wrapped; ${dough.restMin.low} min at least`}
      />
      <Fact
        name="Boil"
        figure={`${shape.cookFreshMin[0]} to ${shape.cookFreshMin[1]} min`}
        note={`fresh, ${formatNumber(shape.wallMm, 1)} mm wall; ${shape.doneSign}`}
      />
    </div>
  )
}
