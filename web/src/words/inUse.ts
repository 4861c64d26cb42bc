import type { User } from '@harina/core'

const MOST_NAMED = 4

/** Why something cannot be removed, and what to do. */
export function inUse(users: readonly User[]): string {
  const names = [...new Set(users.map(({ kind, name }) => (kind === 'draft' ? 'the draft' : name)))]
  const more = names.length - MOST_NAMED
  const listed = names.slice(0, MOST_NAMED).join(', ')
  return `${listed}${more > 0 ? ` and ${more} more` : ''} would be left without it. Change them first.`
}
