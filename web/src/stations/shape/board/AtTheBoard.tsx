/** What a part of the dough comes to at the board, by how its shape is made. */
import { type Kitchen, type ShapeShare, type Worked } from '@harina/core'
import { Dropping } from './Dropping.tsx'
import { FillingPlan } from './FillingPlan.tsx'
import { PieceFigures } from './PieceFigures.tsx'
import { Portions } from './Portions.tsx'
import { Pulling } from './Pulling.tsx'
import { RopesOnBoard } from './RopesOnBoard.tsx'
import { ThroughPress } from './ThroughPress.tsx'
import { ThroughRoller } from './ThroughRoller.tsx'

interface Props {
  readonly part: ShapeShare
  readonly worked: Worked
  readonly kitchen: Kitchen
  /** Where there are several, each says its name. */
  readonly titled: boolean
}

export function AtTheBoard({ part, worked, kitchen, titled }: Props) {
  const { shape } = part
  return (
    <section aria-label={`${shape.name} at the board`} className="mb-4 flex flex-col gap-3">
      {titled && <h2 className="head border-t border-line pt-2 text-2xl">{shape.name}</h2>}
      <PieceFigures part={part} worked={worked} />
      <RopesOnBoard part={part} worked={worked} boardMm={kitchen.gear.boardMm} />
      <ThroughRoller part={part} worked={worked} kitchen={kitchen} />
      <ThroughPress part={part} worked={worked} kitchen={kitchen} />
      <Pulling part={part} worked={worked} />
      <Dropping part={part} worked={worked} />
      <Portions part={part} worked={worked} />
      <FillingPlan part={part} worked={worked} />
    </section>
  )
}
