/** What axe finds on the page as it stands by day; by lamplight other colours stand in the same places, so they alone are looked at. */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { join } from 'node:path'
import type { Page } from 'puppeteer-core'

const source = readFileSync(createRequire(join(process.cwd(), 'package.json')).resolve('axe-core/axe.min.js'), 'utf8')

/**
 * What axe finds wrong, by day and by lamp; where a panel is open, in the panel: what it stands before is a view of its own.
 * What it cannot tell was looked through by hand and is no fault: words in drawings stand on the sheet's own paper in `--ink`
 * or `--second` (6 to 1 or better, and drawn over nothing darker than a hatch), a list's mark says nothing, and the signs − and
 * + are named in words.
 */
export async function axeFaults(page: Page): Promise<readonly string[]> {
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(source)
  const faults: string[] = []
  for (const theme of ['day', 'lamp']) {
    const found = await page.evaluate(async (wanted) => {
      document.documentElement.dataset['theme'] = wanted
      const { axe } = globalThis as unknown as {
        axe: {
          run(within: Node, options: object): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>
        }
      }
      const { violations } = await axe.run(document.querySelector('[role=dialog]') ?? document, {
        resultTypes: ['violations'],
        ...(wanted === 'day' ? {} : { runOnly: ['color-contrast'] }),
      })
      return violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`)
    }, theme)
    faults.push(...found.map((fault) => `${theme}: ${fault}`))
  }
  return faults
}
