/** The formula as a recipe for others: to copy, to save, to send along; by weight, or by cups with what they may hold. */
import {
  RECIPE_FORMS,
  REGIONS,
  writeRecipe,
  type RecipeForm,
  type RecipeTables,
  type Region,
} from '@harina/core/recipe'
import { useMemo, useState } from 'react'
import { download, plainFileName } from '#web/devices/download.ts'
import { notify, notifyTrouble } from '#web/state/notify.ts'
import { Choice } from '#web/ui/Choice.tsx'
import { PrintButton } from '#web/ui/PrintButton.tsx'
import { Segments } from '#web/ui/Segments.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { regionWords } from '#web/words/index.ts'
import { readerFacts } from '#web/workers/readerFacts.ts'
import type { DrawerProps } from '../drawerProps.ts'

const FORM: Readonly<Record<RecipeForm, { readonly name: string; readonly ending: string; readonly type: string }>> = {
  text: { name: 'Plain text', ending: 'txt', type: 'text/plain' },
  markdown: { name: 'Markdown', ending: 'md', type: 'text/markdown' },
  'json-ld': { name: 'For web pages', ending: 'json', type: 'application/ld+json' },
}

export default function WriteOut({ worked, kitchen, onClose }: DrawerProps) {
  const [form, setForm] = useState<RecipeForm>('text')
  const [cups, setCups] = useState<Region | ''>('')
  const tables = useMemo(
    (): RecipeTables => ({
      ingredients: [...kitchen.ingredients.values()],
      doughs: [...kitchen.doughs.values()],
      reader: readerFacts,
    }),
    [kitchen.ingredients, kitchen.doughs],
  )
  const text = useMemo(
    () => writeRecipe(worked, tables, { form, cups: cups === '' ? null : cups }),
    [worked, tables, form, cups],
  )
  const copy = () =>
    void navigator.clipboard.writeText(text).then(
      () => notify('Copied'),
      () => notifyTrouble('Not copied', 'Select the text and copy it, or save it as a file.'),
    )
  const { ending, type } = FORM[form]
  return (
    <SidePanel title="Write it out" wide onClose={onClose}>
      <Segments
        label="Written as"
        className="mb-3"
        options={RECIPE_FORMS.map((each) => [each, FORM[each].name] as const)}
        value={form}
        onChange={setForm}
      />
      <p className="mb-3 flex flex-wrap items-baseline gap-2">
        measured
        <Choice
          label="Measured"
          className="field min-h-9 font-semibold"
          value={cups}
          none="by weight"
          options={REGIONS.map((each) => [each, `${regionWords[each]} cups, and by weight`] as const)}
          onChange={setCups}
        />
      </p>
      <pre
        tabIndex={0}
        aria-label="The recipe as written"
        data-print="card"
        className="box mb-4 overflow-x-auto font-text text-base leading-snug whitespace-pre-wrap select-all"
      >
        {text}
      </pre>
      <p className="flex flex-wrap gap-3">
        <button type="button" className="action" onClick={copy}>
          Copy it
        </button>
        <button
          type="button"
          className="box min-h-11 font-semibold"
          onClick={() => download(`${plainFileName(worked.sheet.name) || 'recipe'}.${ending}`, text, type)}
        >
          Save it as a file
        </button>
        <PrintButton className="box min-h-11 font-semibold" />
      </p>
      <p className="small mt-3 max-w-prose leading-snug">Whoever pastes it here gets the same dough back.</p>
    </SidePanel>
  )
}
