import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Shell } from './Shell.tsx'
import { stations } from './stations.tsx'

/** Drawn once the work is there to be shown, so that it begins at the address of that moment. */
export function Pages() {
  return (
    <BrowserRouter>
      <Routes>
        <Route element={<Shell />}>
          {stations.map(({ station, path, Page }) => (
            <Route key={station} path={path} element={<Page />} />
          ))}
          <Route path="*" element={<Navigate to="/formula" replace />} />
        </Route>
      </Routes>
    </BrowserRouter>
  )
}
