import { mkdtemp, readFile, rename } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from 'puppeteer-core'

export interface Download {
  readonly path: string
  readonly text: string
}

/** Sends downloads to a folder of their own; `next` waits for one to be whole. */
export async function catchDownloads(page: Page): Promise<{ next(): Promise<Download> }> {
  const dir = await mkdtemp(join(tmpdir(), 'harina-downloads-'))
  const session = await page.createCDPSession()
  const names = new Map<string, string>()
  const finished: string[] = []
  session.on('Browser.downloadWillBegin', ({ guid, suggestedFilename }) => names.set(guid, suggestedFilename))
  session.on('Browser.downloadProgress', ({ guid, state }) => state === 'completed' && finished.push(guid))
  const { id } = page.browserContext()
  await session.send('Browser.setDownloadBehavior', {
    ...(id === undefined ? {} : { browserContextId: id }),
    behavior: 'allowAndName',
    downloadPath: dir,
    eventsEnabled: true,
  })
  let count = 0
  return {
    async next() {
      for (let tries = 0; tries < 150 && finished.length === 0; tries += 1)
        await new Promise((resolve) => setTimeout(resolve, 100))
      const guid = finished.shift()
      if (!guid) throw new Error('no file was downloaded')
      count += 1
      const path = join(dir, `${count}-${names.get(guid) ?? 'file.harina.json'}`)
      await rename(join(dir, guid), path)
      return { path, text: await readFile(path, 'utf8') }
    },
  }
}
