/** A blank at life size on a measured screen: dough is held against it. With `onChange` its sizes can be dragged. */
import type { Blank } from '@harina/core'
import { useId } from 'react'
import { HatchPattern, type Family } from '../family.tsx'
import { useUnits } from '../units.ts'
import { useWidth } from '../useWidth.ts'
import { Bar, Knob, LifeFigure, line, Round, Slot, type Screen } from './lifeSizeParts.tsx'

/** A rope as thick as it is, with the cuts on it. */
function Rope({ on, blank: { diameterMm, cutMm } }: { on: Screen; blank: Extract<Blank, { type: 'rope' }> }) {
  const { length } = useUnits()
  const [thick, cut] = [diameterMm * on.pxPerMm, cutMm * on.pxPerMm]
  const cuts = Math.max(1, Math.floor(on.widest / cut))
  const wide = Math.min(on.widest, cuts * cut)
  return (
    <LifeFigure
      label={`rope ${length(diameterMm)} thick, cut at ${length(cutMm)}${cut > on.widest ? ', shown in part' : ''}`}
      high={thick + (on.onChange ? 38 : 14)}
      wide={wide}
      knobs={
        <>
          <Knob
            {...{ on, name: 'Thickness of the rope', mm: diameterMm, size: 'diameterMm' }}
            axis="y"
            left={wide * 0.62}
            top={thick + 22}
          />
          <Knob
            {...{ on, name: 'Length of the cut', mm: cutMm, size: 'cutMm' }}
            axis="x"
            left={Math.min(wide, cut)}
            top={2}
          />
        </>
      }
    >
      <rect x="0" y="7" width={wide} height={thick} fill={on.fill} {...line} />
      {Array.from({ length: cuts - 1 }, (_, k) => (
        <path key={k} d={`M${(k + 1) * cut} 0v${thick + 14}`} {...line} />
      ))}
    </LifeFigure>
  )
}

/** Each kind of blank by the measures one holds dough against. */
function Drawings({ on, blank, wallMm }: { on: Screen; blank: Blank; wallMm: number }) {
  switch (blank.type) {
    case 'rope':
      return (
        <>
          <Rope on={on} blank={blank} />
          {blank.drawn && <Slot on={on} size="drawnMm" name="drawn out to" mm={blank.drawn.diameterMm} />}
        </>
      )
    case 'sheet':
      return (
        <>
          {blank.widthMm * on.pxPerMm < on.widest ? (
            <Slot on={on} size="widthMm" name="as wide as" mm={blank.widthMm} />
          ) : (
            <Bar on={on} size="widthMm" name="as wide as" mm={blank.widthMm} />
          )}
          <Slot on={on} size="thicknessMm" name="as thick as" mm={blank.thicknessMm} />
        </>
      )
    case 'disc':
      return (
        <>
          <Round on={on} size="diameterMm" name="round of" mm={blank.diameterMm} />
          <Slot on={on} size="thicknessMm" name="as thick as" mm={blank.thicknessMm} />
        </>
      )
    case 'die':
      return (
        <>
          <Bar on={on} size="cutMm" name="cut at" mm={blank.cutMm} />
          <Slot on={on} size={null} name="wall of" mm={wallMm} />
        </>
      )
    case 'drop':
      return (
        <>
          <Round on={on} size="holeMm" name="hole of" mm={blank.holeMm} />
          <Bar on={on} size="lengthMm" name="about" mm={blank.lengthMm} />
        </>
      )
  }
}

interface Props {
  readonly blank: Blank
  readonly wallMm: number
  readonly pxPerMm: number
  readonly family: Family
  readonly onChange?: Screen['onChange']
}

export function LifeSize({ blank, wallMm, pxPerMm, family, onChange }: Props) {
  const hatch = useId()
  const [measure, room] = useWidth(640)
  const on: Screen = { pxPerMm, widest: room - 30, fill: `url(#${hatch})`, onChange }
  return (
    <div ref={measure} className="min-w-0">
      <svg width="0" height="0" className="absolute" aria-hidden="true">
        <HatchPattern id={hatch} family={family} />
      </svg>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
        <Drawings on={on} blank={blank} wallMm={wallMm} />
      </div>
    </div>
  )
}
