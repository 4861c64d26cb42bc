import type { Problem, RecordKind } from '@harina/core'

const unchanged = 'Nothing was changed.'

/** Why a file was not taken, and what to do. */
export function fileProblemWords({ code, path, data = {} }: Problem): string {
  switch (code) {
    case 'file-empty':
      return `This file is empty. Choose the file that Harina exported. ${unchanged}`
    case 'file-too-big':
      return `This file is far larger than any workspace (over 480 MB). Choose the file that Harina exported. ${unchanged}`
    case 'file-cut-short':
      return `This file breaks off before its end, as after a copy that was interrupted. Copy it again from where it was kept. ${unchanged}`
    case 'file-not-json':
      return `This is not a Harina file. Choose one whose name ends in .harina.json. ${unchanged}`
    case 'file-foreign':
      return `This file was not made by Harina. Choose one whose name ends in .harina.json. ${unchanged}`
    case 'file-newer':
      return `A newer Harina made this file (version ${String(data['version'])}). Update this one, then bring it in. ${unchanged}`
    case 'file-unread':
      return `This file could not be read to its end; it may be more than this device can hold. Close other pages and try again. ${unchanged}`
    case 'file-hostile':
      return `This file holds keys that no Harina file has and that could harm the page. Do not use it. ${unchanged}`
    case 'file-markup':
      return `This file holds page code where a name or note should be (at ${path ?? 'the top'}). Do not use it, or take the code out. ${unchanged}`
    default:
      return `This file is damaged (at ${path || 'the top'}). Use an older export, or mend that place. ${unchanged}`
  }
}

export const unreadableWords: Readonly<Record<RecordKind, string>> = {
  formula: 'A formula',
  lot: 'A lot',
  ingredient: 'An ingredient of your own',
  shape: 'A shape of your own',
  batch: 'A batch',
  photo: 'A photo',
  gear: 'Gear',
  draft: 'The sheet on paper',
}
