/** A server on a free port and a browser with a profile of its own, for tests, pictures and measurements. */
import { createApp, listen } from '@harina/server'
import { generateWorkspace } from '@harina/demo'
import { existsSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import puppeteer, { type Browser, type BrowserContext, type Page } from 'puppeteer-core'

/** The one without windows first: it starts in a third of the time. */
const CHROMIUM = ['/usr/lib/chromium/chromium-headless-shell', '/usr/bin/chromium', '/usr/bin/chromium-browser']

export const flags = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

/** Tests’ pages live for seconds: what an optimising compiler would gain is never earned back. */
export const SHORT_LIVED = ['--js-flags=--no-maglev --no-turbofan']

export interface Size {
  readonly width: number
  readonly height: number
}

export const DESK: Size = { width: 1280, height: 800 }
export const PHONE: Size = { width: 390, height: 844 }

export interface Site {
  readonly url: string
  close(): Promise<void>
}

export interface SiteOptions {
  /** Without it the server offers no workspace and the app begins empty. */
  readonly demo?: boolean
  readonly port?: number
  readonly clientDir: string
}

export async function serveSite({ demo = true, port = 0, clientDir }: SiteOptions): Promise<Site> {
  const app = createApp({ clientDir, ...(demo ? { startWorkspace: generateWorkspace } : {}) })
  const started = await listen(app, { host: '127.0.0.1', port })
  if (!started.ok) throw new Error(started.message)
  return started.listening
}

export interface Visit {
  readonly browser: Browser
  readonly profile: string
  close(): Promise<void>
  /** Ends the browser the way a flat battery would. */
  kill(): Promise<void>
}

export async function openBrowser(profile?: string, more: readonly string[] = []): Promise<Visit> {
  const executablePath = process.env['CHROMIUM'] ?? CHROMIUM.find((path) => existsSync(path))
  if (!executablePath) throw new Error('Chromium is missing: apt-get install chromium-headless-shell')
  const dir = profile ?? (await mkdtemp(join(tmpdir(), 'harina-profile-')))
  const browser = await puppeteer.launch({
    executablePath,
    headless: executablePath.endsWith('headless-shell') ? 'shell' : true,
    userDataDir: dir,
    args: [...flags, ...more],
    defaultViewport: DESK,
  })
  return {
    browser,
    profile: dir,
    close: async () => {
      await browser.close()
      await rm(dir, { recursive: true, force: true, maxRetries: 5 })
    },
    kill: async () => {
      const gone = new Promise<void>((resolve) => browser.process()?.once('exit', () => resolve()))
      browser.process()?.kill('SIGKILL')
      await gone
    },
  }
}

/** As a browser that was never here, within one that runs: a tenth of the time of starting another. */
export async function openAnew({ browser }: Visit): Promise<{ browser: BrowserContext; close(): Promise<void> }> {
  const context = await browser.createBrowserContext()
  return { browser: context, close: () => context.close() }
}

const asks = new WeakSet<Page>()

/** Asks as the browser does before a page goes: whether something on it is still to be stored, and the page says of none that it cannot be. */
const isBeingStored = (page: Page): Promise<boolean> =>
  page.evaluate(
    () =>
      !dispatchEvent(new Event('beforeunload', { cancelable: true })) &&
      !/Not stored|dropped your work/.test(document.body.innerText),
  )

/** An address, once what was done before is stored, or cannot be, and what stands there is drawn. */
export async function goTo(page: Page, url: string): Promise<void> {
  if (!asks.has(page)) page.on('dialog', (dialog) => void dialog.accept())
  asks.add(page)
  // A busy disk takes its time: many seconds, where other browsers write to it as well.
  for (let tries = 0; tries < 800 && (await isBeingStored(page)); tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 25))
  await page.goto(url, { waitUntil: 'load' })
  await page.waitForFunction(() => {
    const main = document.querySelector('main')
    if (!document.querySelector('#root > *') || (main && !main.firstElementChild)) return false
    // What rests until the package is there is about to be replaced: a hand far away would still hold the one that went.
    return document.querySelector('[data-at-rest]') === null
  })
  await page.evaluate(() => document.fonts.ready)
}

export const reload = (page: Page): Promise<void> => goTo(page, page.url())

/** Behind Greenwich by hours and a half, and with a summer time; the unit tests stand ahead of it. */
const TIME_ZONE = 'America/St_Johns'

/**
 * A page at an address, once the first station stands and what it shows is stored. `offline`: it keeps all of the client for when
 * there is no network, which costs as much again as opening it.
 */
export async function openPage(
  { browser }: { browser: Browser | BrowserContext },
  url: string,
  { offline = false }: { offline?: boolean } = {},
): Promise<Page> {
  const page = await browser.newPage()
  await page.emulateTimezone(TIME_ZONE)
  if (!offline) await page.evaluateOnNewDocument(() => Reflect.deleteProperty(Navigator.prototype, 'serviceWorker'))
  await goTo(page, url)
  await page.waitForSelector('main')
  await page.waitForFunction(() => localStorage.getItem('harina.kept') !== null)
  return page
}
