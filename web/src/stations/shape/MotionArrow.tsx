/** What the hand does, as a maker would sketch it beside a recipe. */
import type { Motion } from '@harina/core'

const HEAD = 'm0 0 -7 -4m7 4-7 4'

/** Strokes on 72 × 44; an arrow's head is drawn where its line ends, to the right. */
const strokes: Readonly<Record<Motion, string>> = {
  drag: `M6 34H60${HEAD}M14 10l16 16M10 14l16 16`,
  'press-and-roll': `M22 6v16m0 0-4-7m4 7 4-7M12 36H46a11 11 0 1 0-9-17`,
  'roll-out': `M36 22H64${HEAD}M36 22H8m0 0 7-4m-7 4 7 4M16 38H56`,
  wind: `M6 22H64M18 32c4-20 8-20 10 0s8-20 10 0 8-20 10 0${HEAD}`,
  fold: `M10 36a24 24 0 0 1 50-4m0 4v-8m0 8-7-4M8 40H64`,
  pinch: `M6 22H26${HEAD}M66 22H46m0 0 7-4m-7 4 7 4M32 10q4 12 0 24M40 10q-4 12 0 24`,
  cut: `M6 36H66M20 8V34m0 0-4-7m4 7 4-7M42 8V34m0 0-4-7m4 7 4-7`,
  stamp: `M36 4V26m0 0-4-7m4 7 4-7M14 34a22 6 0 0 0 44 0a22 6 0 0 0-44 0`,
  'press-through': `M22 6V16M22 28V38M4 22H60${HEAD}M52 8V36`,
  pull: `M30 14H6m0 0 7-4m-7 4 7 4M42 14H66${HEAD}M18 30c0 10 36 10 36 0`,
  drop: `M12 8H60M24 8V18m0 0-3-5m3 5 3-5M36 8V30m0 0-3-5m3 5 3-5M48 8V22m0 0-3-5m3 5 3-5M8 38q7-5 14 0t14 0 14 0 14 0`,
  'roll-down': `M10 6 58 34M14 16l5-8M24 22l5-8M34 28l5-8M44 34l5-8M30 40H60${HEAD}`,
}

export const MotionArrow = ({ motion }: { motion: Motion }) => (
  <svg
    width="72"
    height="44"
    aria-hidden="true"
    fill="none"
    stroke="var(--ink)"
    strokeWidth="1.8"
    strokeLinecap="round"
  >
    <path d={strokes[motion]} />
  </svg>
)
