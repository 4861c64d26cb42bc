import { type Dough, madeFor, pressedAs, type Plan } from '@harina/core'
import { useKitchen } from '#web/state/select.ts'

/** The dough of this batch as the tables have it, made as its press wants it. */
export function useDough({ sheet, steps }: Plan): Dough | undefined {
  const kitchen = useKitchen()
  const dough = kitchen?.doughs.get(sheet.dough)
  const as = steps.some(({ kind }) => kind === 'press') ? pressedAs(steps) : null
  return kitchen && dough ? madeFor(dough, as && { as }, kitchen.doughs) : undefined
}

/** What each word for the feel looks like in it. */
export const useLooks = (plan: Plan): Dough['feel'] | undefined => useDough(plan)?.feel
