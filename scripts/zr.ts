import { fileURLToPath } from 'node:url'
import { openBrowser, serveSite } from '@harina/e2e/harness'
const site = await serveSite({ clientDir: fileURLToPath(new URL('../web/dist', import.meta.url)) })
const visit = await openBrowser()
for (const rate of [1, 4]) {
  const context = await visit.browser.createBrowserContext()
  const page = await context.newPage()
  await page.evaluateOnNewDocument(`
    new MutationObserver((_, o) => { const f=document.querySelector('table input[aria-label$="grams"]'); if(!f||!f.value) return; o.disconnect(); globalThis.domAt=performance.now(); requestAnimationFrame(()=>setTimeout(()=>{globalThis.gramsAt=performance.now()}))}).observe(document,{childList:true,subtree:true})`)
  const s = await page.createCDPSession()
  await s.send('Emulation.setCPUThrottlingRate', { rate })
  const out: string[] = []
  for (let n=0;n<6;n++) {
    if (n===0) await page.goto(site.url, { waitUntil: 'domcontentloaded' })
    else await page.reload({ waitUntil: 'domcontentloaded' })
    await page.waitForFunction('globalThis.gramsAt', {polling: 50})
    const at: any = await page.evaluate('({a:globalThis.gramsAt, d: globalThis.domAt, fp: performance.getEntriesByType("paint").map(x=>x.name[6]+Math.round(x.startTime)).join(), nav: performance.getEntriesByType("navigation")[0].responseStart})')
    out.push(`${at.d.toFixed(0)}/${at.a.toFixed(0)}/${at.fp}/${at.nav.toFixed(0)}`)
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await new Promise(r=>setTimeout(r,1500))
  }
  console.log(rate, out.join('  '))
  await context.close()
}
await visit.close(); await site.close()
