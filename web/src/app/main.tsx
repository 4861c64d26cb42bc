import { flushSync } from 'react-dom'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { registerSW } from 'virtual:pwa-register'
import './fonts.ts'
import './theme.css'
import { openStore, startSession } from '../state/session.ts'
import { store } from '../state/store.ts'
import { provideTables } from '../state/tables.ts'
import { whenIdle } from '../ui/whenIdle.ts'
import { loadTables } from './loadTables.ts'
import { DroppedStore, NoStore, SilentStore } from './NoStore.tsx'
import { bringControls } from '../ui/controls/controls.ts'
import { readPreferences } from '../state/preferencesSlice.ts'
import { offerNewVersion } from './newVersion.ts'
import { Pages } from './routes.tsx'
import { stationAt } from './stations.tsx'

/** A store that has not answered by then is said to be silent; should it answer after all, the work goes on. */
const SILENT_MS = 8000

const root = createRoot(document.getElementById('root') as HTMLElement)
const tables = loadTables().then(provideTables)
// What will be opened is fetched while the store is asked.
const bringStation = (path: string) =>
  stationAt(path)
    .bring()
    .catch(() => undefined)
// The first screen is the work as it was left. A router that is sent on from '/' would draw everything twice.
const standAt = (path: string) => history.replaceState(null, '', path === '/' ? readPreferences().lastPath : path)
if (location.pathname === '/') standAt('/')
void bringStation(location.pathname)

const refuse = (error: unknown) => root.render(<NoStore error={error} />)

async function begin({ offer = true, at }: { offer?: boolean; at?: string } = {}): Promise<void> {
  let drawn = () => undefined as void
  const shown = new Promise<void>((resolve) => (drawn = resolve)).then(whenIdle)
  if (at) standAt(at)
  const [session] = await Promise.all([startSession(offer, shown), tables, bringStation(location.pathname)])
  // In one go: there is nothing on the screen that would have to stay alive meanwhile.
  flushSync(() =>
    root.render(
      <Provider store={store}>
        <Pages />
      </Provider>,
    ),
  )
  drawn()
  void shown.then(bringControls)
  await session.kept
}

const anew = (at: string, offer: boolean) => void begin({ at, offer }).catch(refuse)

async function open(): Promise<void> {
  const waiting = setTimeout(() => root.render(<SilentStore />), SILENT_MS)
  try {
    const found = await openStore()
    clearTimeout(waiting)
    if (found === 'ready') return await begin()
    root.render(<DroppedStore onFile={() => anew('/gear/files', false)} onAnew={() => anew('/', true)} />)
  } catch (error) {
    clearTimeout(waiting)
    refuse(error)
  }
}

// On plain http from another device there is no service worker, and a browser that keeps nothing refuses one: it works online.
const keepOffline = () => {
  if (!('serviceWorker' in navigator)) return
  const load = registerSW({
    immediate: true,
    onNeedRefresh: () => offerNewVersion(() => void load(true)),
    onRegisterError: () => undefined,
  })
}
void open().then(whenIdle).then(keepOffline)
