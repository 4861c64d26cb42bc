import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router'
import { registerSW } from 'virtual:pwa-register'
import './fonts.ts'
import './theme.css'
import { router } from './routes.tsx'
import { startSession } from '../state/session.ts'
import { store } from '../state/store.ts'
import { loadTables } from './loadTables.ts'
import { provideTables } from '../ui/tables.ts'
import { NoStore } from './NoStore.tsx'

const root = createRoot(document.getElementById('root') as HTMLElement)

Promise.all([loadTables().then(provideTables), startSession()]).then(
  () =>
    root.render(
      <Provider store={store}>
        <RouterProvider router={router} />
      </Provider>,
    ),
  (error: unknown) => root.render(<NoStore error={error} />),
)

// On plain http from another device there is no service worker; the app then works online only.
if ('serviceWorker' in navigator) registerSW({ immediate: true })
