/** Decimals that a scale of this step can honestly show: 1 g → 0, 0.1 g → 1. */
export function decimalsOfStep(stepG: number): number {
  if (stepG >= 1) return 0
  return Math.min(3, Math.ceil(-Math.log10(stepG) - 1e-9))
}

function grouped(text: string): string {
  const [whole = '', part] = text.split('.')
  const spaced = whole.replace(/\B(?=(\d{3})+(?!\d))/g, whole.replace('-', '').length > 4 ? '\u202f' : '')
  return part === undefined ? spaced : `${spaced}.${part}`
}

/** @example 12345.67 to 1 → “12 345.7”, grouped from five digits on by narrow spaces; −0 is 0 */
export function formatNumber(value: number, decimals: number): string {
  const text = value.toFixed(decimals)
  return grouped(Number(text) === 0 ? text.replace('-', '') : text).replace('-', '−')
}

/** A mass without its unit, as finely as the scale reads. */
export const formatGrams = (grams: number, scaleStepG = 1): string => formatNumber(grams, decimalsOfStep(scaleStepG))

/** Percent on flour, one decimal. */
export const formatPercent = (percent: number): string => formatNumber(percent, 1)

/** A distance between two hydrations, in points, with its sign. */
export function formatPoints(points: number): string {
  const text = formatNumber(Math.abs(points), 1)
  if (Number(text) === 0) return '0.0'
  return points > 0 ? `+${text}` : `−${text}`
}

/** `m:ss`, or `h:mm:ss` from an hour on; a time that has passed counts up behind a plus. */
export function formatCountdown(secondsLeft: number): string {
  const over = secondsLeft < 0
  const whole = over ? Math.floor(-secondsLeft) : Math.ceil(secondsLeft)
  const two = (n: number) => String(n).padStart(2, '0')
  const hours = Math.floor(whole / 3600)
  const minutes = Math.floor((whole % 3600) / 60)
  const clock = hours > 0 ? `${hours}:${two(minutes)}:${two(whole % 60)}` : `${minutes}:${two(whole % 60)}`
  return over ? `+${clock}` : clock
}

/** A length the way a bench speaks of it: 13 mm, 4.85 m. */
export function formatLength(mm: number): string {
  if (mm >= 1000) return `${formatNumber(mm / 1000, 2)} m`
  return `${formatNumber(mm, mm < 10 && mm % 1 !== 0 ? 1 : 0)} mm`
}
