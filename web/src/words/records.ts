/** What kinds of record are called. */
import type { RecordKind } from '@harina/core'

export const unreadableWords: Readonly<Record<RecordKind, string>> = {
  formula: 'A formula',
  lot: 'A lot',
  ingredient: 'An ingredient of your own',
  shape: 'A shape of your own',
  batch: 'A batch',
  photo: 'A photo',
  gear: 'Gear',
  draft: 'The draft',
}
