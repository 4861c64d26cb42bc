/** A text as it is read, away from the page and a moment after the last key. */
import type { CupRegion, Kitchen } from '@harina/core'
import { toldKey, type Decoded, type Region } from '@harina/core/recipe'
import { useMemo } from 'react'
import { useAnswer } from '../../ui/useAnswer.ts'
import { readRecipe } from '../../workers/recipe.ts'

/** After the last key, ms. */
const QUIET_MS = 200

const GEAR_REGION: Readonly<Record<CupRegion, Region>> = {
  us: 'us',
  metric: 'metric',
  imperial: 'uk',
  japan: 'jp',
  china: 'metric',
}

export interface Reading {
  readonly text: string
  readonly decoded: Decoded
}

interface Read {
  /** Of the text before, while the next is read; null where there is none. */
  readonly reading: Reading | null
  readonly busy: boolean
  /** The reader itself broke down. */
  readonly failed: boolean
}

export function useReading(text: string, region: Region | '', kitchen: Kitchen): Read {
  const { gear, ingredients, doughs } = kitchen
  const { readAs, units } = gear
  const question = useMemo(() => {
    if (text.trim() === '') return null
    const told = Object.fromEntries(readAs.map(({ name, is }) => [toldKey(name), is]))
    const usual = GEAR_REGION[units.cup]
    return {
      text,
      ingredients: [...ingredients.values()],
      doughs: [...doughs.values()],
      options: { ...(region === '' ? {} : { region }), usual, egg: units.egg, told },
    }
  }, [text, region, ingredients, doughs, readAs, units.cup, units.egg])
  const { answer, last, failed } = useAnswer(question, (asked, signal) => readRecipe(asked, { signal }), {
    quietMs: QUIET_MS,
    givesUp: true,
  })
  return {
    reading: question && last ? { text: last.question.text, decoded: last.answer } : null,
    busy: question !== null && answer === null && !failed,
    failed,
  }
}
