import { fileURLToPath } from 'node:url'
import { openBrowser, serveSite } from '@harina/e2e/harness'
const site = await serveSite({ clientDir: fileURLToPath(new URL('../web/dist', import.meta.url)) })
const visit = await openBrowser()
const rate = Number(process.argv[2] ?? 4)
const context = await visit.browser.createBrowserContext()
const page = await context.newPage()
await page.evaluateOnNewDocument(`
    new MutationObserver((_, o) => { const f=document.querySelector('table input[aria-label$="grams"]'); if(!f||!f.value) return; o.disconnect(); performance.mark('dom'); requestAnimationFrame(()=>setTimeout(()=>{performance.mark('grams');globalThis.gramsAt=performance.now()}))}).observe(document,{childList:true,subtree:true})`)
const s = await page.createCDPSession()
await s.send('Emulation.setCPUThrottlingRate', { rate })
for (const which of ['first','again','third']) {
  await page.tracing.start({ categories: ['devtools.timeline','v8','disabled-by-default-v8.compile','blink.user_timing','toplevel'] })
  await page.goto(site.url, { waitUntil: 'domcontentloaded' })
  await page.waitForFunction('globalThis.gramsAt', { polling: 100 })
  const buf = await page.tracing.stop()
  const ev = JSON.parse(Buffer.from(buf!).toString()).traceEvents as any[]
  const g = ev.filter(e=>e.name==='grams').at(-1)
  const nav = ev.filter(e=>e.name==='navigationStart' && e.pid===g.pid).at(-1) ?? ev.filter(e=>e.pid===g.pid)[0]
  const main = ev.filter(e=>e.pid===g.pid && e.tid===g.tid && e.ph==='X' && e.ts<=g.ts).sort((a,b)=>a.ts-b.ts|| b.dur-a.dur)
  const self = new Map<string,number>(); const stack: any[]=[]
  for (const e of main) { while(stack.length && stack.at(-1).end<=e.ts) stack.pop(); e.end=e.ts+e.dur; const p=stack.at(-1); if(p) self.set(p.key,(self.get(p.key)??0)-e.dur/1000); const u=(e.args?.data?.url??e.args?.fileName??'').split('/').pop(); e.key=e.name+' '+(process.argv[3]?u:''); self.set(e.key,(self.get(e.key)??0)+e.dur/1000); stack.push(e) }
  console.log('==',which, await page.evaluate('gramsAt'))
  console.log([...self].sort((a,b)=>b[1]-a[1]).slice(0,22).map(([k,v])=>k+' '+v.toFixed(0)).join('\n'))
  if (which==='first' || process.argv[4]) { console.log('-- long'); for (const e of main) if(e.dur>25000 && !/RunTask|ThreadControllerImpl/.test(e.name)) console.log(((e.ts-nav.ts)/1000).toFixed(0), (e.dur/1000).toFixed(0), e.name, (e.args?.data?.url??e.args?.fileName??e.args?.data?.functionName??'').split('/').pop()) }
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await new Promise(r=>setTimeout(r,1500))
}
await visit.close(); await site.close()
