/** A text as it is read, away from the page and a moment after the last key. */
import type { CupRegion, Kitchen } from '@harina/core'
import { toldKey, type Decoded, type Region } from '@harina/core/recipe'
import { useEffect, useMemo, useState } from 'react'
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
  const [reading, setReading] = useState<Reading | null>(null)
  const [failedAt, setFailedAt] = useState<string | null>(null)
  const { gear, ingredients, doughs } = kitchen
  const told = useMemo(() => Object.fromEntries(gear.readAs.map(({ name, is }) => [toldKey(name), is])), [gear.readAs])
  const isEmpty = text.trim() === ''
  useEffect(() => {
    if (isEmpty) return
    const control = new AbortController()
    const timer = setTimeout(() => {
      readRecipe(
        {
          text,
          ingredients: [...ingredients.values()],
          doughs: [...doughs.values()],
          options: {
            ...(region === '' ? {} : { region }),
            usual: GEAR_REGION[gear.units.cup],
            egg: gear.units.egg,
            told,
          },
        },
        { signal: control.signal },
      ).then(
        (decoded) => setReading({ text, decoded }),
        () => control.signal.aborted || setFailedAt(text),
      )
    }, QUIET_MS)
    return () => {
      clearTimeout(timer)
      control.abort()
    }
  }, [text, isEmpty, region, ingredients, doughs, gear.units.cup, gear.units.egg, told])
  const failed = failedAt === text
  return {
    reading: isEmpty ? null : reading,
    busy: !isEmpty && !failed && reading?.text !== text,
    failed: !isEmpty && failed,
  }
}
