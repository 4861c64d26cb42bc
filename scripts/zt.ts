import { fileURLToPath } from 'node:url'
import { openBrowser, serveSite } from '@harina/e2e/harness'
const site = await serveSite({ clientDir: fileURLToPath(new URL('../web/dist', import.meta.url)) })
const visit = await openBrowser()
const rate = Number(process.argv[2] ?? 4)
for (const n of [0]) {
  const context = await visit.browser.createBrowserContext()
  const page = await context.newPage()
  await page.evaluateOnNewDocument(`
    new MutationObserver((_, o) => { const f=document.querySelector('table input[aria-label$="grams"]'); if(!f||!f.value) return; o.disconnect(); requestAnimationFrame(()=>setTimeout(()=>{globalThis.gramsAt=performance.now()}))}).observe(document,{childList:true,subtree:true})`)
  const s = await page.createCDPSession()
  await s.send('Emulation.setCPUThrottlingRate', { rate })
  await s.send('Profiler.enable')
  for (const which of ['first','again','third']) {
    await s.send('Profiler.setSamplingInterval', { interval: 1000 })
    await s.send('Profiler.start')
    await page.goto(site.url, { waitUntil: 'domcontentloaded' })
    await page.waitForFunction('globalThis.gramsAt')
    const { profile } = await s.send('Profiler.stop')
    const at = await page.evaluate('globalThis.gramsAt')
    const marks = await page.evaluate(() => [...performance.getEntriesByType('mark').map(m=>[m.name,Math.round(m.startTime)]), ...performance.getEntriesByType('resource').map((r:any)=>[r.name.split('/').pop(), Math.round(r.startTime), Math.round(r.responseEnd)])])
    const self = new Map<string, number>()
    const dt = profile.timeDeltas!, byId = new Map(profile.nodes.map(x=>[x.id,x]))
    profile.samples!.forEach((id,i)=>{ const nd=byId.get(id)!; const f=nd.callFrame; const k=f.functionName.startsWith('(')?f.functionName:f.url.split('/').pop()!+':'+(process.argv[3]?f.functionName+':'+f.lineNumber+':'+f.columnNumber:''); self.set(k,(self.get(k)??0)+dt[i]!/1000)})
    console.log(which, at)
    console.log([...self].sort((a,b)=>b[1]-a[1]).slice(0,24).map(([k,v])=>`${k} ${v.toFixed(0)}`).join('\n'))
    if (process.argv[4]) console.log(marks.map(String).join('\n'))
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await new Promise(r=>setTimeout(r,1500))
    await page.goto('about:blank')
  }
  await context.close()
}
await visit.close(); await site.close()
