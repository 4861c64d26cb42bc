import { fileURLToPath } from 'node:url'
import { openBrowser, serveSite } from '@harina/e2e/harness'
const site = await serveSite({ clientDir: fileURLToPath(new URL('../web/dist', import.meta.url)) })
const visit = await openBrowser()
const page = await visit.browser.newPage()
await page.evaluateOnNewDocument(`globalThis.seen=[]; Error.prepareStackTrace=(e,f)=>{ globalThis.seen.push(Math.round(performance.now())+' '+e.message+' @ '+f.slice(0,6).map(x=>(x.getFileName()||'').split('/').pop()+':'+x.getFunctionName()+':'+x.getLineNumber()+':'+x.getColumnNumber()).join(' < ')); return String(e)}`)
await page.goto(site.url, { waitUntil: 'networkidle0' })
console.log((await page.evaluate('globalThis.seen') as string[]).slice(0,20).join('\n'))
await visit.close(); await site.close()
