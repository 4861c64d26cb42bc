import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Shell } from './Shell.tsx'
import { stations } from './stations.tsx'

/** Drawn once the work is there to be shown, so that it begins at the address of that moment. */
export function Pages() {
  return (
    <BrowserRouter>
      <Routes>
        <Route element={<Shell />}>
          <Route path="formula" element={<stations.formula.Page />} />
          <Route path="shape/:view?" element={<stations.shape.Page />} />
          <Route path="bench/:batchId?" element={<stations.bench.Page />} />
          <Route path="dry/:trayId?" element={<stations.dry.Page />} />
          <Route path="pot" element={<stations.pot.Page />} />
          <Route path="log/:batchId?" element={<stations.log.Page />} />
          <Route path="gear/:shelf?" element={<stations.gear.Page />} />
          <Route path="*" element={<Navigate to="/formula" replace />} />
        </Route>
      </Routes>
    </BrowserRouter>
  )
}
