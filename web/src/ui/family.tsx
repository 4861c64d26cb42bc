/** Five families, each with an ink, a hatch and a drawn mark, so that colour never says anything alone. */
import type { Dough } from '@harina/core'

export type Family = Dough['family']

export const familyInk: Readonly<Record<Family, string>> = {
  semolina: 'var(--semolina)',
  salted: 'var(--salted)',
  alkaline: 'var(--alkaline)',
  batter: 'var(--batter)',
  gnocchi: 'var(--gnocchi)',
}

export const familyName: Readonly<Record<Family, string>> = {
  semolina: 'Semolina-water',
  salted: 'Salted',
  alkaline: 'Alkaline',
  batter: 'Batter',
  gnocchi: 'Gnocchi',
}

/** Lines of one 8 × 8 tile. */
const hatchTile: Readonly<Record<Family, string>> = {
  semolina: 'M-2 2L2 -2M0 8L8 0M6 10L10 6',
  salted: 'M0 2H8M0 6H8',
  alkaline: 'M0 4Q2 1 4 4T8 4',
  batter: 'M2 1v2M6 5v2',
  gnocchi: 'M0 0L8 8M8 0L0 8',
}

export function HatchPattern({ id, family }: { id: string; family: Family }) {
  return (
    <pattern id={id} width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill={familyInk[family]} opacity="0.14" />
      <path d={hatchTile[family]} stroke={familyInk[family]} strokeWidth="1.1" fill="none" opacity="0.75" />
    </pattern>
  )
}

/** Grain, crystal, ripple, drop and ridged pillow. */
const markPath: Readonly<Record<Family, string>> = {
  semolina: 'M8 1C12.5 4.5 12.5 11.5 8 15C3.5 11.5 3.5 4.5 8 1ZM8 3.5V12.5',
  salted: 'M8 1.5L14.5 8L8 14.5L1.5 8ZM4.75 4.75L11.25 11.25M11.25 4.75L4.75 11.25',
  alkaline: 'M1 5Q4.5 1 8 5T15 5M1 11Q4.5 7 8 11T15 11',
  batter: 'M8 1C11 6 13 8 13 10.5A5 4.5 0 0 1 3 10.5C3 8 5 6 8 1Z',
  gnocchi: 'M2 8C2 4 14 4 14 8S2 12 2 8ZM5 5.2V10.8M8 5V11M11 5.2V10.8',
}

export function FamilyMark({ family, size = 16 }: { family: Family; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 16 16" role="img" aria-label={familyName[family]} className="shrink-0">
      <path d={markPath[family]} fill="none" stroke={familyInk[family]} strokeWidth="1.5" strokeLinejoin="round" />
    </svg>
  )
}
