/** A shape's sentences as this maker works: what is dusted with, and whether the wood is bare. */
import type { Dust, Shape } from '../model/index.ts'

export interface Ways {
  /** Absent: as the shape has it. */
  readonly dust?: Dust | undefined
  readonly board?: 'bare' | 'floured' | 'ridged' | undefined
}

const DUST_WORDS: Readonly<Record<Dust, string>> = { semolina: 'coarse semolina', flour: 'flour', starch: 'starch' }
const FLOURED = 'A little flour on the board, brushed thin; if a piece skids, wipe its place clean.'
const BARE = /\{bare:([^}]*)\}/

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** What such a shape is dusted with, in words; empty where it is not. */
export function dustWords({ dust }: Pick<Shape, 'dust'>, ways: Ways): string {
  if (!dust) return ''
  const chosen = dust.only ? dust.with : (ways.dust ?? dust.with)
  return chosen === dust.with ? (dust.as ?? DUST_WORDS[chosen]) : DUST_WORDS[chosen]
}

/**
 * The shape with its words told for these ways.
 * @example `{bare:No flour while rolling.} {Dust} on the tray.` on bare wood → No flour while rolling. Coarse semolina on the tray.
 */
export function toldBy(shape: Shape, ways: Ways): Shape {
  const dust = dustWords(shape, ways)
  const say = (text: string): string =>
    text
      .replace(BARE, (_, bare: string) => (ways.board === 'floured' ? FLOURED : bare))
      .replace('{dust}', dust)
      .replace('{Dust}', capital(dust))
      .trim()
  return {
    ...shape,
    steps: shape.steps.map(say),
    board: say(shape.board),
    mistakes: shape.mistakes.map(({ sign, cause, remedy }) => ({ sign, cause: say(cause), remedy: say(remedy) })),
  }
}
