import { openBrowser, openPage, serveSite, goTo, press, onTo, sees } from '@harina/e2e/harness'
const [, , theme = 'day', w = '1280', h = '800'] = process.argv
const site = await serveSite({ clientDir: '/work/main/web/dist' })
const visit = await openBrowser()
const page = await openPage(visit, site.url, { width: +w, height: +h } as any)
page.on('pageerror', (e: any) => console.log('ERR', e.message)); page.on('console', (m: any) => m.type() === 'error' && console.log('console', m.text()))
await page.setViewport({ width: +w, height: +h })
const go = (p: string) => goTo(page, new URL(p, site.url).href)
if (theme === 'lamp') await page.evaluate(() => localStorage.setItem('harina.preferences', JSON.stringify({ ...JSON.parse(localStorage.getItem('harina.preferences') ?? '{}'), theme: 'lamp' })))
for (const formula of ['Lamp-room semolina', 'Signal noodles']) {
  await go('/formula')
  await press(page, 'Formula book'); await press(page, formula); await page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  if (formula.startsWith('Signal')) await page.evaluate(() => { const b = [...document.querySelectorAll('button')].find((x) => /read/i.test(x.textContent ?? '') && /caution/i.test(x.textContent ?? '')); (b as any)?.click() })
  await press(page, 'Take to the bench'); await new Promise((r) => setTimeout(r, 600))
  await onTo(page, 'Cook').catch((e: any) => console.log(e.message))
}
await go('/pot'); await new Promise((r) => setTimeout(r, 1500))
await page.screenshot({ path: `/tmp/look/pot-${theme}-${w}.png` as `${string}.png` })
await press(page, 'Bring them up together').catch((e: any) => console.log(e.message)); await new Promise((r) => setTimeout(r, 1200))
await page.keyboard.press('Space'); await new Promise((r) => setTimeout(r, 1200))
await page.screenshot({ path: `/tmp/look/pot2-${theme}-${w}.png` as `${string}.png` })
await visit.close(); await site.close()
