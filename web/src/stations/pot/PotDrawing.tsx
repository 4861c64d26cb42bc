/** A pot cut open: the water in it to scale, and how high it may stand. */
import { formatNumber } from '@harina/core'

/** Width and height of the inside alike for every pot; larger ones are drawn larger. */
const REFERENCE_L = 12
const LARGEST = 84
const HIGH = 0.72
/** No fuller than three quarters. */
const FULL = 0.75

export function PotDrawing({ holdsL, litres }: { holdsL: number; litres: number }) {
  const width = LARGEST * Math.min(1.15, Math.max(0.5, Math.cbrt(holdsL / REFERENCE_L)))
  const height = HIGH * width
  const left = 60 - width / 2
  const bottom = 78
  const at = (share: number) => bottom - height * share
  const share = Math.min(1, litres / holdsL)
  return (
    <svg
      viewBox="0 0 120 86"
      className="h-24 w-34 shrink-0"
      role="img"
      aria-label={`${formatNumber(litres, 1)} of ${formatNumber(holdsL, 1)} litres: ${Math.round(100 * share)} % full`}
    >
      <rect x={left} y={at(share)} width={width} height={height * share} fill="var(--family)" opacity="0.35" />
      <path d={`M${left} ${at(share)}h${width}`} stroke="var(--family)" strokeWidth="2" />
      <path
        d={`M${left + 1} ${at(FULL)}h${width - 2}`}
        stroke="var(--ink)"
        strokeWidth="1"
        strokeDasharray="3 3"
        opacity="0.8"
      />
      <path
        d={`M${left - 4} ${at(1)}h4v${height}h${width}v${-height}h4`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="2.5"
        strokeLinejoin="round"
      />
      <path d={`M${left - 4} ${at(0.82)}h-7M${left + width + 4} ${at(0.82)}h7`} stroke="var(--ink)" strokeWidth="3.5" />
    </svg>
  )
}
