/** What troubles and the evidence for them are called. */
import { formatNumber, type EvidenceCode, type Evidence, type TroubleStage } from '@harina/core'

export const stageWords: Readonly<Record<TroubleStage, string>> = {
  mix: 'mixing',
  knead: 'kneading',
  rest: 'resting',
  roll: 'rolling',
  cut: 'cutting',
  shape: 'shaping',
  extrude: 'pressing',
  dry: 'drying',
  store: 'keeping',
  cook: 'cooking',
  serve: 'serving',
}

const evidence: Readonly<Record<EvidenceCode, (by: number) => string>> = {
  dry: (by) => `the bowl stands ${formatNumber(by, 1)} points stiffer than the shape's window`,
  wet: (by) => `the bowl stands ${formatNumber(by, 1)} points softer than the shape's window`,
  'not-drunk': (by) => `water went in lately: ${formatNumber(Math.ceil(by), 0)} min until it has drunk`,
  'no-rest': (by) => `${formatNumber(Math.ceil(by), 0)} min short of its least rest`,
  'thirsty-flour': (by) => `this flour has wanted ${formatNumber(by, 1)} points more than its paper`,
  uneven: (by) => `the pieces stray by ${formatNumber(by, 0)} %`,
  'alkali-high': (by) => `${formatNumber(by, 2)} % alkali on flour`,
  'alkali-low': (by) => `only ${formatNumber(by, 2)} % alkali on flour`,
}

export const evidenceWords = ({ code, by }: Evidence): string => evidence[code](by)
