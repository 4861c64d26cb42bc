/** Stamps laid out on a sheet. */
import { stampCentres, type RolledSheetPlan, type Stamp } from '@harina/core'
import { useId } from 'react'
import { HatchPattern, type Family } from './family.tsx'
import { counted } from '#web/words/index.ts'

/** One sheet with its stamps, seen from above; the length lies across. */
export function StampLayout({
  widthMm,
  plan,
  stamp,
  family,
}: {
  widthMm: number
  plan: RolledSheetPlan
  stamp: Stamp
  family: Family
}) {
  const hatch = useId()
  const { sheetLengthMm } = plan.sheet
  const scale = Math.min(300 / sheetLengthMm, 90 / widthMm)
  if (!plan.stamped) return null
  const centres = stampCentres({ widthMm, lengthMm: sheetLengthMm }, stamp, plan.stamped.layout)
  return (
    <svg
      width={sheetLengthMm * scale + 4}
      height={widthMm * scale + 4}
      className="max-w-full"
      role="img"
      aria-label={`${counted(centres.length, 'piece')} on one sheet, to scale`}
    >
      <HatchPattern id={hatch} family={family} />
      <rect
        x="2"
        y="2"
        width={sheetLengthMm * scale}
        height={widthMm * scale}
        fill={`url(#${hatch})`}
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {centres.map(({ acrossMm, alongMm }) => (
        <rect
          key={`${acrossMm} ${alongMm}`}
          x={2 + (alongMm - stamp.sizeMm / 2) * scale}
          y={2 + (acrossMm - stamp.sizeMm / 2) * scale}
          width={stamp.sizeMm * scale}
          height={stamp.sizeMm * scale}
          rx={stamp.shape === 'circle' ? (stamp.sizeMm / 2) * scale : 0}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ))}
    </svg>
  )
}
