import { openBrowser, serveSite } from '@harina/e2e/harness'
const [rate, rounds, ...dists] = process.argv.slice(2)
const set = await Promise.all(dists.map(async (clientDir) => ({ clientDir, site: await serveSite({ clientDir }), visit: await openBrowser(), first: [] as number[], again: [] as number[] })))
const init = `new MutationObserver((_, o) => { const f=document.querySelector('table input[aria-label$="grams"]'); if(!f||!f.value) return; o.disconnect(); requestAnimationFrame(()=>setTimeout(()=>{globalThis.gramsAt=performance.now()}))}).observe(document,{childList:true,subtree:true})`
for (let n = 0; n < Number(rounds); n++) for (const d of set) {
  const context = await d.visit.browser.createBrowserContext(); const page = await context.newPage()
  await page.evaluateOnNewDocument(init)
  const s = await page.createCDPSession(); await s.send('Emulation.setCPUThrottlingRate', { rate: Number(rate) })
  const at = async () => { const h = await page.waitForFunction('globalThis.gramsAt', { polling: 100 }); return await h.jsonValue() as number }
  await page.goto(d.site.url, { waitUntil: 'domcontentloaded' }); d.first.push(await at())
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined)); await new Promise(r=>setTimeout(r,1000))
  for (let k=0;k<3;k++){ await page.reload({ waitUntil: 'domcontentloaded' }); const v = await at(); if(k>0) d.again.push(v); await new Promise(r=>setTimeout(r,600)) }
  await context.close()
}
const med=(a:number[])=>[...a].sort((x,y)=>x-y)
for (const d of set) console.log(d.clientDir, 'first', med(d.first).map(x=>x.toFixed(0)).join(' '), '| again', med(d.again)[d.again.length>>1]!.toFixed(0), 'min', Math.min(...d.again).toFixed(0))
for (const d of set) { await d.visit.close(); await d.site.close() }
