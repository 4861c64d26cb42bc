/** Two tabs: one holds the bench, the other follows live, records nothing, and can take it over. */
import type { Page } from 'puppeteer-core'
import { goTo, openPage, pourAll, press, pressStarting, sees, textOf } from './harness/index.ts'
import { useSite } from './useSite.ts'

const here = useSite()
let first: Page
let second: Page

const go = (page: Page, path: string) => goTo(page, new URL(path, here.site.url).href)
const events = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('harina')
        opening.onerror = () => reject(new Error('no store'))
        opening.onsuccess = () => {
          const count = opening.result.transaction('events').objectStore('events').count()
          count.onsuccess = () => resolve(count.result)
        }
      }),
  )

beforeAll(async () => {
  first = await openPage(here.visit, here.site.url)
  await go(first, '/formula')
  await press(first, 'Take to the bench')
  await pressStarting(first, 'All at hand')
  await sees(first, 'Weigh the flour')
  second = await here.visit.browser.newPage()
  await go(second, new URL(first.url()).pathname)
  await sees(second, 'Weigh the flour')
})

it('the second tab says that it follows, and a tap there records nothing', async () => {
  await sees(second, 'Another tab holds the bench')
  expect(await textOf(first)).not.toContain('Another tab holds the bench')
  const before = await events(second)
  await pressStarting(second, 'Weighed, go on')
  await sees(second, 'Nothing was recorded here')
  expect(await events(second)).toBe(before)
})

it('what is tapped in the first is seen in the second at once', async () => {
  await first.bringToFront()
  await pressStarting(first, 'Weighed, go on')
  await sees(first, 'Make the water')
  await second.bringToFront()
  await sees(second, 'Make the water')
})

it('away from the bench a tap says so too, and the way out stands beside it', async () => {
  await go(second, '/dry/demo-rack-2-tray-2')
  await press(second, 'Fan on')
  await sees(second, 'Nothing was recorded here')
  await press(second, 'Take it over')
  await second.waitForFunction(() => !document.body.innerText.includes('Another tab holds the bench'))
  await press(second, 'Fan on')
  await second.waitForSelector('::-p-aria([name="Fan off"][role="button"])')
  await first.bringToFront()
  await press(first, 'Take the bench over')
  await second.bringToFront()
  await go(second, new URL(first.url()).pathname)
})

it('the second takes the bench over: now the first follows, and the second records', async () => {
  await press(second, 'Take the bench over')
  await second.waitForFunction(() => !document.body.innerText.includes('Another tab holds the bench'))
  await pressStarting(second, 'Made, go on')
  await sees(second, 'still to pour')
  await first.bringToFront()
  await sees(first, 'Another tab holds the bench')
  await sees(first, 'still to pour')
})

it('when the holder goes, the bench comes back by itself', async () => {
  await second.close()
  await first.waitForFunction(() => !document.body.innerText.includes('Another tab holds the bench'), {
    timeout: 15_000,
  })
  await pourAll(first)
  await sees(first, 'How does it feel?')
})
