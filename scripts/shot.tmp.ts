import { DESK, PHONE, goTo, openBrowser, openPage, serveSite, sees } from '@harina/e2e/harness'
const [, , out, path, words, size, theme = 'day'] = process.argv
const site = await serveSite({ clientDir: '/work/main/web/dist' })
const visit = await openBrowser()
const page = await openPage(visit, site.url)
await page.evaluate(
  (t) => localStorage.setItem('harina.preferences', JSON.stringify({ theme: t, sound: false, lastPath: '/formula' })),
  theme,
)
await page.setViewport(size === 'phone' ? PHONE : DESK)
await goTo(page, new URL(path, site.url).href)
await sees(page, words)
await new Promise((r) => setTimeout(r, 1500))
await page.screenshot({ path: out as any })
await visit.close()
await site.close()
