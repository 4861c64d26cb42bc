import { madeAs, type Dough, type Plan } from '@harina/core'
import { useKitchen } from '#web/state/select.ts'

/** What each word for the feel looks like in this dough, made as its shape wants it. */
export function useLooks({ sheet, shape }: Plan): Dough['feel'] | undefined {
  const kitchen = useKitchen()
  const dough = kitchen?.doughs.get(sheet.dough)
  return kitchen && dough ? madeAs(dough, shape, kitchen).feel : undefined
}
