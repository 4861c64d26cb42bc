/** From an empty sheet, by the keyboard alone, to a dough of each family; every figure is the calculation port's. */
import type { Sheet } from '@harina/core'
import { calcText } from '@harina/core/calc'
import { ingredients } from '@harina/facts'
import { calcTables } from '@harina/facts/calc'
import type { Page } from 'puppeteer-core'
import { goTo, openPage, sees, tabTo, valueOf } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
const table = new Map(ingredients.map((row) => [row.id, row]))

interface Answer {
  readonly ok: boolean
  readonly result: {
    readonly moisture: number
    readonly rows: readonly { readonly weighed: number }[]
    readonly hydration: { readonly effective: number }
  }
}
/** In text, as another program asks; that the command answers the same is a test of its own. */
const ask = (requests: readonly object[]): readonly Answer[] =>
  calcText(JSON.stringify(requests), calcTables) as unknown as readonly Answer[]

/** An open list answers to the beginning of a name. */
async function choose(page: Page, label: RegExp, name: string): Promise<void> {
  await tabTo(page, label)
  await page.keyboard.press('ArrowDown')
  await page.waitForSelector('[role=listbox]')
  await page.keyboard.type(name)
  await page.keyboard.press('Enter')
  await page.waitForFunction(() => !document.querySelector('[role=listbox]'))
}

async function build(page: Page, family: number, dough: string, shape: string, portions: number): Promise<void> {
  await goTo(page, new URL('/formula', here.site.url).href)
  await tabTo(page, /^New$/)
  await page.keyboard.press('Enter')
  await page.waitForSelector('[role=dialog] [role=radio]')
  await page.waitForFunction(() => document.activeElement?.closest('[role=dialog]') !== null)
  await page.waitForFunction(() => document.querySelector('[role=dialog]')?.getAnimations().length === 0)
  while (!(await page.evaluate(() => document.activeElement?.getAttribute('role') === 'radio')))
    await page.keyboard.press('Tab')
  for (let step = 0; step < family; step += 1) await page.keyboard.press('ArrowDown')
  await choose(page, /^Dough/, dough)
  await choose(page, /^Shape/, shape)
  await tabTo(page, /^Portions to begin with/)
  await page.keyboard.type(String(portions))
  await tabTo(page, /^Start this draft/)
  await page.keyboard.press('Enter')
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
}

/** The sheet on paper, as this browser keeps it. */
const sheetOf = (page: Page): Promise<Sheet> =>
  page.evaluate(
    () =>
      new Promise<Sheet>((resolve, reject) => {
        const open = indexedDB.open('harina')
        open.onerror = () => reject(open.error)
        open.onsuccess = () => {
          const read = open.result.transaction('drafts').objectStore('drafts').get('draft')
          read.onsuccess = () => resolve((read.result as { sheet: Sheet }).sheet)
        }
      }),
  )

/** What the port says of a sheet, asked in its own words. */
function answered(sheet: Sheet, place: { temperatureC: number; rhPercent: number }) {
  const flours = sheet.rows.filter((row) => row.flour)
  const whole = flours.reduce((sum, row) => sum + row.amount.percent, 0)
  const stored = ask(
    flours.map((row) => ({
      kind: 'sack-moisture',
      grain: table.get(row.ingredient)?.grain ?? 'hard',
      // A sack of unknown age.
      packing: 'paper-sack',
      stays: [place],
    })),
  )
  const solved = sheet.rows.find((row) => row.amount.by === 'hydration')
  const [batch] = ask([
    {
      kind: 'batch',
      rows: sheet.rows.map((row) => ({
        id: row.ingredient,
        percent: row === solved ? 0 : (100 * row.amount.percent) / whole,
        ...(row.flour ? { flour: true } : {}),
      })),
      materials: flours.map((row, index) => {
        const { fat = 0, salt = 0 } = table.get(row.ingredient) ?? {}
        return { id: row.ingredient, water: Math.min(0.15, Math.max(0.105, stored[index]!.result.moisture)), fat, salt }
      }),
      ...(solved?.amount.by === 'hydration'
        ? { solve: { row: solved.ingredient, percent: solved.amount.percent, basis: solved.amount.basis } }
        : {}),
      target: sheet.target,
      lossPercent: sheet.lossPercent,
      scaleStepG: 1,
    },
  ])
  return batch!.result
}

const figure = async (page: Page, label: string) => Number((await valueOf(page, label)).replace(/[^\d.]/g, ''))

it.each([
  { family: 'semolina', step: 0, dough: 'Semolina and water, hand', shape: 'Orecch', portions: 7 },
  { family: 'salted', step: 1, dough: 'Salted thick', shape: 'Udon', portions: 5 },
  { family: 'alkaline', step: 2, dough: '', shape: 'Medium', portions: 3 },
  { family: 'batter', step: 3, dough: 'Batter, dropped', shape: 'Batter b', portions: 11 },
  { family: 'gnocchi', step: 4, dough: '', shape: 'Ridged p', portions: 6 },
])('$family: built by keys alone, and every gram is the port’s', async ({ step, dough, shape, portions, family }) => {
  const page = await openPage(here.visit, here.site.url)
  await build(page, step, dough, shape, portions)
  await sees(page, shape)
  await page.waitForFunction(
    (wanted) => document.querySelector<HTMLInputElement>('input[aria-label="Portions"]')?.value === wanted,
    {},
    String(portions),
  )
  await new Promise((resolve) => setTimeout(resolve, 800))
  const sheet = await sheetOf(page)
  expect(sheet.target).toMatchObject({ by: 'portions', count: portions })
  const port = answered(sheet, { temperatureC: 17, rhPercent: 81 })
  for (const [index, row] of sheet.rows.entries()) {
    const name = table.get(row.ingredient)!.name
    expect([name, await figure(page, `${name}, grams`)]).toEqual([name, port.rows[index]!.weighed])
  }
  const doughG = port.rows.reduce((sum, row) => sum + row.weighed, 0)
  expect(await figure(page, 'Dough, grams')).toBe(doughG)
  const onBase = family === 'gnocchi'
  const wanted = onBase ? sheet.rows.find((row) => row.flour)!.amount.percent : port.hydration.effective
  expect(await figure(page, onBase ? 'Flour on the base, percent' : 'Hydration, percent')).toBeCloseTo(wanted, 1)
  await page.close()
})
