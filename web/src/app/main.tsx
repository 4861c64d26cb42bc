import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router'
import { registerSW } from 'virtual:pwa-register'
import './fonts.ts'
import './theme.css'
import { openStore, startSession } from '../state/session.ts'
import { store } from '../state/store.ts'
import { provideTables } from '../state/tables.ts'
import { loadTables } from './loadTables.ts'
import { DroppedStore, NoStore, SilentStore } from './NoStore.tsx'
import { router } from './routes.tsx'

/** A store that has not answered by then is said to be silent; should it answer after all, the work goes on. */
const SILENT_MS = 8000

const root = createRoot(document.getElementById('root') as HTMLElement)
const tables = loadTables().then(provideTables)

async function begin(options?: { seeded: boolean; at: string }): Promise<void> {
  await Promise.all([tables, startSession(options)])
  if (options) history.replaceState(null, '', options.at)
  root.render(
    <Provider store={store}>
      <RouterProvider router={router()} />
    </Provider>,
  )
}

const refuse = (error: unknown) => root.render(<NoStore error={error} />)
const anew = (at: string, seeded: boolean) => void begin({ at, seeded }).catch(refuse)

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
void open()

// On plain http from another device there is no service worker, and a browser that keeps nothing refuses one: it works online.
if ('serviceWorker' in navigator) registerSW({ immediate: true, onRegisterError: () => undefined })
