/** Where a recipe is pasted, or opened, and whose cups it means. */
import { REGIONS, type Region } from '@harina/core/recipe'
import { Choice } from '../../ui/Choice.tsx'
import { regionWords } from '../../words/index.ts'
import { recipeIn, recipeOf } from './recipeText.ts'

interface Props {
  readonly text: string
  readonly onText: (text: string) => void
  /** As the maker says; empty where it is read off the text. */
  readonly region: Region | ''
  readonly onRegion: (region: Region | '') => void
  readonly seems: Region | undefined
}

export function RecipeSource({ text, onText, region, onRegion, seems }: Props) {
  const open = (file: File | undefined) => {
    if (file) void recipeIn(file).then((read) => read !== null && onText(read))
  }
  return (
    <div className="flex flex-col gap-3">
      <textarea
        aria-label="The recipe"
        className="box min-h-48 w-full resize-y leading-snug lg:min-h-100"
        placeholder="Paste it here: a list, a sentence, a whole page. Cups, ounces, eggs and pinches are read."
        value={text}
        onChange={({ target }) => onText(recipeOf(target.value))}
      />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="box inline-flex min-h-11 cursor-pointer items-center focus-within:outline-3">
          Open a file
          <input
            type="file"
            accept=".txt,.md,.markdown,.html,.htm,.json,.jsonld,text/*"
            className="sr-only"
            onChange={({ target }) => {
              open(target.files?.[0])
              target.value = ''
            }}
          />
        </label>
        <span className="small flex items-center gap-2">
          cups and spoons
          <Choice
            label="Whose cups and spoons"
            className="field min-h-9 text-ink"
            value={region}
            none={seems ? `${regionWords[seems]}, as it seems` : 'as it seems'}
            options={REGIONS.map((each) => [each, regionWords[each]] as const)}
            onChange={onRegion}
          />
        </span>
      </div>
    </div>
  )
}
