/** Decides where everything on a hydration rule goes; the component only draws it. Lengths in px. */
import type { Window } from '@harina/core'

export interface RuleWindow {
  readonly label: string
  readonly window: Window
}

export interface RuleMark {
  readonly id: string
  readonly at: number
  readonly label: string
  readonly kind: 'triangle' | 'open' | 'dashed'
}

export interface RuleInput {
  readonly width: number
  readonly from: number
  readonly to: number
  readonly shape: RuleWindow | null
  readonly methods: readonly RuleWindow[]
  readonly marks: readonly RuleMark[]
  /** Pixels a character of a label takes, about. */
  readonly charPx?: number
}

export interface Bar {
  readonly label: string
  readonly x: number
  readonly width: number
  readonly y: number
  readonly height: number
  readonly bestX: number
  /** Before the bar, or behind it where there is no room before. */
  readonly labelX: number
  readonly labelAnchor: 'start' | 'end'
}

export interface RuleLayout {
  readonly height: number
  readonly lineY: number
  readonly shape: Bar | null
  readonly methods: readonly Bar[]
  readonly ticks: readonly { readonly x: number; readonly length: number; readonly label: string | null }[]
  readonly marks: readonly (RuleMark & {
    readonly x: number
    readonly labelX: number
    readonly y: number
    readonly anchor: 'start' | 'end'
  })[]
}

export const PAD = 26
const SHAPE_H = 17
const METHOD_H = 13
const LABEL_H = 17
const GAP = 5
const TICK_LABEL_Y = 38
const MARK_ROW = 17
const CHAR_PX = 7.2

export const ruleX = ({ width, from, to }: Pick<RuleInput, 'width' | 'from' | 'to'>, percent: number): number =>
  PAD + ((percent - from) / (to - from)) * (width - 2 * PAD)

export const rulePercent = ({ width, from, to }: Pick<RuleInput, 'width' | 'from' | 'to'>, x: number): number =>
  from + ((x - PAD) / (width - 2 * PAD)) * (to - from)

function bar(input: RuleInput, { label, window }: RuleWindow, y: number, height: number): Bar {
  const x = (percent: number) => ruleX(input, Math.min(input.to, Math.max(input.from, percent)))
  const [left, right] = [x(window.low), x(window.high)]
  const fits = left - 6 - label.length * (input.charPx ?? CHAR_PX) > 0
  return {
    label,
    x: left,
    width: Math.max(2, right - left),
    y,
    height,
    bestX: x(window.best),
    labelX: fits ? left - 6 : right + 6,
    labelAnchor: fits ? 'end' : 'start',
  }
}

/**
 * Labels under the rule: each to the right of its mark, on the first row where it meets no other. From right to left, so
 * that a label that has to stand lower hangs on a line that crosses none of those already placed.
 */
function placeMarks(input: RuleInput, top: number): RuleLayout['marks'] {
  const charPx = input.charPx ?? CHAR_PX
  const placed: { from: number; to: number; x: number; row: number }[] = []
  return [...fewMarks(input.marks)]
    .sort((a, b) => b.at - a.at)
    .map((mark) => {
      const x = ruleX(input, Math.min(input.to, Math.max(input.from, mark.at)))
      const long = mark.label.length * charPx
      const anchor = x + long + 8 > input.width ? ('end' as const) : ('start' as const)
      const labelX = anchor === 'start' ? x + 7 : x - 7
      const span = anchor === 'start' ? { from: x - 4, to: labelX + long } : { from: labelX - long, to: x + 4 }
      const inTheWay = (row: number) =>
        placed.some((other) => {
          const meets = other.row === row && other.from < span.to && span.from < other.to
          const crossed = other.row > row && other.x > span.from && other.x < span.to
          return meets || crossed
        })
      let row = 0
      while (inTheWay(row)) row += 1
      placed.push({ ...span, x, row })
      return { ...mark, x, labelX, anchor, y: top + row * MARK_ROW }
    })
}

/** Ticks closer than this run together, px; labels need more. */
const TICK_PX = 2.5
const LABEL_PX = 22

/** The finest of a half, one, five, ten, fifty… that is so many pixels wide. */
function stepFor(perPoint: number, px: number, finest: number): number {
  let step = finest
  for (let times = finest === 0.5 ? 2 : finest === 5 ? 2 : 5; step * perPoint < px; times = times === 2 ? 5 : 2)
    step *= times
  return step
}

/** As many as the width takes, however long the rule: a bowl of a tenth of a gram of flour reads four thousand per cent. */
function ticks(input: RuleInput): RuleLayout['ticks'] {
  const perPoint = (input.width - 2 * PAD) / (input.to - input.from)
  if (!(perPoint > 0)) return []
  const step = stepFor(perPoint, TICK_PX, 0.5)
  const labelEvery = stepFor(perPoint, LABEL_PX, 5)
  const major = Math.max(5, step)
  const first = Math.ceil(input.from / step)
  const count = Math.floor(input.to / step) - first
  return Array.from({ length: count + 1 }, (_, index) => {
    const percent = (first + index) * step
    const length = percent % major === 0 ? 20 : percent % 1 === 0 ? 12 : 6
    return { x: ruleX(input, percent), length, label: percent % labelEvery === 0 ? String(percent) : null }
  })
}

/** Its name stands over the bar, as far to the left as it must to end on the paper. */
const overlaid = ({ width, charPx = CHAR_PX }: RuleInput, made: Bar): Bar => ({
  ...made,
  labelX: Math.max(0, Math.min(made.x, width - made.label.length * charPx)),
  labelAnchor: 'start',
})

/** A long day's pours would lie on one another: the first and the last of them are told. */
const MOST_MARKS = 24
const fewMarks = (marks: readonly RuleMark[]): readonly RuleMark[] =>
  marks.length <= MOST_MARKS ? marks : [...marks.slice(0, MOST_MARKS / 2), ...marks.slice(-MOST_MARKS / 2)]

export function ruleLayout(input: RuleInput): RuleLayout {
  let y = 0
  const shape = input.shape ? overlaid(input, bar(input, input.shape, LABEL_H, SHAPE_H)) : null
  if (shape) y = LABEL_H + SHAPE_H + GAP + 4
  const methods = input.methods.map((method) => {
    const made = bar(input, method, y, METHOD_H)
    y += METHOD_H + GAP
    return made
  })
  const lineY = y + 2
  const marks = placeMarks(input, lineY + TICK_LABEL_Y + 14)
  const lowest = marks.reduce((low, mark) => Math.max(low, mark.y), lineY + TICK_LABEL_Y)
  return { height: lowest + 8, lineY, shape, methods, ticks: ticks(input), marks }
}

/** A scale with room on both sides of everything shown, on whole fives. */
export function ruleRange(values: readonly number[]): { from: number; to: number } {
  const low = values.reduce((a, b) => Math.min(a, b), Infinity)
  const high = values.reduce((a, b) => Math.max(a, b), -Infinity)
  return { from: Math.max(0, Math.floor((low - 4) / 5) * 5), to: Math.ceil((high + 4) / 5) * 5 }
}
