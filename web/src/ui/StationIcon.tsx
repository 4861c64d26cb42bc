export type Station = 'formula' | 'shape' | 'bench' | 'dry' | 'pot' | 'log' | 'gear'

/** Our own marks: a jug with its measure, a curled piece, a board on trestles, trays on a rack, a pot, a ruled page, a beam scale. */
const paths: Readonly<Record<Station, string>> = {
  formula: 'M6 4H16L18 20H6ZM6 4L4 7M8.5 9H12M8.5 12.5H13.5M8.5 16H12',
  shape: 'M3 15C4 7 20 7 21 15C18 19 6 19 3 15ZM3 15C8 12 16 12 21 15',
  bench: 'M2 8H22M4 8V20M20 8V20M4 15H20M9 8V5H15V8',
  dry: 'M4 3V21M20 3V21M4 8H20M4 13.5H20M4 19H20M8 8V6M12 8V6M16 8V6M9 13.5V11.5M15 13.5V11.5',
  pot: 'M5 9V19C5 20 6 21 7 21H17C18 21 19 20 19 19V9ZM3 9H21M2 12H5M19 12H22M9 6C9 4 10 4 10 2M14 6C14 4 15 4 15 2',
  log: 'M5 3H19V21H5ZM8 7H16M8 11H16M8 15H12M14 17L16 19',
  gear: 'M12 3V18M6 20H18M4 7H20M4 7L2 13H7L4 7M20 7L17.5 13H22.5L20 7',
}

export function StationIcon({ station }: { station: Station }) {
  return (
    <svg width="26" height="26" viewBox="0 0 24 24" aria-hidden="true">
      <path
        d={paths[station]}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.5"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  )
}
