import { mkdtemp, mkdir, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import { createApp } from './createApp.ts'
import { addressFrom, isThisMachine, listen, type Listening } from './listen.ts'

const LONG = `export const long = '${'flour and water '.repeat(300)}'`

let clientDir: string
let listening: Listening

beforeAll(async () => {
  clientDir = await mkdtemp(join(tmpdir(), 'harina-client-'))
  await mkdir(join(clientDir, 'assets'))
  await writeFile(join(clientDir, 'index.html'), '<!doctype html><title>Harina</title>')
  await writeFile(join(clientDir, 'assets', 'a-1.js'), 'export {}')
  await writeFile(join(clientDir, 'assets', 'b-2.js'), LONG)
  await writeFile(join(clientDir, 'assets', 'b-2.js.br'), brotliCompressSync(LONG))
  await writeFile(join(clientDir, 'assets', 'b-2.js.gz'), gzipSync(LONG))
  const startWorkspace = (nowMs: number) => ({ nowMs, note: LONG })
  const started = await listen(createApp({ clientDir, startWorkspace }), {
    host: '127.0.0.1',
    port: 0,
  })
  if (!started.ok) throw new Error(started.message)
  listening = started.listening
})
afterAll(() => listening.close())

const get = (path: string, init?: RequestInit) => fetch(new URL(path, listening.url), init)

it('serves the client at every address that is no file', async () => {
  for (const path of ['/', '/formula', '/bench/abc', '/log/some-batch'])
    expect(await (await get(path)).text()).toContain('Harina')
})

it('says so when a file is not there, and takes no writing', async () => {
  const missing = await get('/assets/none.js')
  expect([missing.status, await missing.text()]).toEqual([404, 'Not here.'])
  expect((await get('/nothing.png')).status).toBe(404)
  expect((await get('/formula', { method: 'POST' })).status).toBe(405)
  expect((await get('/..%2f..%2fetc%2fpasswd')).status).not.toBe(500)
  expect(await (await get('/..%2f..%2fetc%2fpasswd')).text()).not.toContain('root:')
})

it('tells nothing of the machine it runs on, whatever is asked', async () => {
  for (const path of [
    '/assets/none.js',
    '/assets/%E0%A4%A',
    '/%E0%A4%A',
    '/assets/../../x',
    '/assets/..%2f..%2fx',
    '/a%00b',
  ]) {
    const answer = await get(path)
    const text = await answer.text()
    expect(answer.status).toBeLessThan(500)
    expect(text).not.toContain(clientDir)
    expect(text).not.toMatch(/\bat .*:\d+:\d+|node_modules|Error/)
  }
})

it('sends what the build made smaller, in the way the browser takes it, and keeps it for a year', async () => {
  const sent = async (encodings: string) => {
    const answer = await get('/assets/b-2.js', { headers: { 'Accept-Encoding': encodings } })
    expect(await answer.text()).toBe(LONG)
    expect(answer.headers.get('content-type')).toMatch(/javascript/)
    expect(answer.headers.get('cache-control')).toBe('public, max-age=31536000, immutable')
    return answer.headers.get('content-encoding')
  }
  expect([await sent('gzip, deflate, br'), await sent('gzip'), await sent('identity')]).toEqual(['br', 'gzip', null])
  const made = await get('/workspace/start.harina.json', { headers: { 'Accept-Encoding': 'gzip' } })
  expect([made.headers.get('content-encoding'), made.headers.get('cache-control')]).toEqual(['gzip', 'no-store'])
  expect((await get('/')).headers.get('cache-control')).toBe('no-cache')
})

it('asks a device for nothing but to stay awake', async () => {
  const policy = (await get('/')).headers.get('permissions-policy') ?? ''
  for (const refused of ['camera=()', 'microphone=()', 'geolocation=()', 'usb=()']) expect(policy).toContain(refused)
  expect(policy).toContain('screen-wake-lock=(self)')
})

it('lets scripts, frames and connections come from nowhere else', async () => {
  const answer = await get('/')
  const policy = answer.headers.get('content-security-policy') ?? ''
  expect(policy).toContain("default-src 'self'")
  expect(policy).toContain("frame-ancestors 'none'")
  expect(policy).not.toMatch(/'unsafe-eval'|https?:/)
  expect(answer.headers.get('strict-transport-security')).toBeNull()
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff')
})

it('makes the first workspace anew at each request, and has none unless told', async () => {
  const { nowMs } = (await (await get('/workspace/start.harina.json')).json()) as { nowMs: number }
  expect(Math.abs(nowMs - Date.now())).toBeLessThan(60_000)
  const bare = await listen(createApp({ clientDir }), { host: '127.0.0.1', port: 0 })
  if (!bare.ok) throw new Error(bare.message)
  expect((await fetch(new URL('/workspace/start.harina.json', bare.listening.url))).status).toBe(204)
  await bare.listening.close()
})

it('says what to do when the port is taken or the address is not ours', async () => {
  const port = Number(new URL(listening.url).port)
  expect(await listen(createApp({ clientDir }), { host: '127.0.0.1', port })).toEqual({
    ok: false,
    message: `Port ${port} is taken. Stop what runs there, or choose another: PORT=${port + 1} npm run demo`,
  })
  expect(await listen(createApp({ clientDir }), { host: '203.0.113.9', port: 0 })).toMatchObject({ ok: false })
})

it('reads PORT and HOST, and refuses what is no port', () => {
  expect(addressFrom({})).toEqual({ host: '127.0.0.1', port: 4173 })
  expect(addressFrom({ PORT: '8080', HOST: '0.0.0.0' })).toEqual({ host: '0.0.0.0', port: 8080 })
  for (const PORT of ['http', '-1', '70000', '80.5', '']) expect(typeof addressFrom({ PORT })).toBe('string')
  expect(['127.0.0.1', '::1', '0.0.0.0', '192.168.1.5'].map(isThisMachine)).toEqual([true, true, false, false])
})
