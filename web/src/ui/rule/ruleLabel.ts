import type { Plan } from '@harina/core'

/** What the figures of a plan's rule mean. @param where 'in the bowl', 'at the end' */
export const ruleLabel = ({ control }: Plan, where: string): string =>
  control.by === 'base' ? `Flour on 100 of ${control.base} ${where}` : `Water on 100 of flour ${where}`
