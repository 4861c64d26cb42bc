/** The forecast as anyone may ask for it: through the port. Before a weighing there is no such question, and the ensemble is asked. */
import { calc } from '@harina/core/calc'
import { DRYING_MODEL, ensembleOf } from '@harina/core/transport'
import { calcTables } from '@harina/facts/calc'
import type { Answer, Forecaster } from './trial.ts'

export const asProduct: Forecaster = ({ temperatureC, rhPercent, air, startG, scaleSdG, weighIns, maxH, ...told }) => {
  const climate = [{ fromH: 0, temperatureC, rhPercent, air }]
  if (weighIns.length === 0) {
    const tray = { ...told, climate, targetMoisture: 0.125, exposure: 1, model: DRYING_MODEL }
    return ensembleOf({ tray, startG, scaleSdG, weighIns, maxH })
  }
  const [answer] = [calc({ kind: 'fit-drying', ...told, climate, startG, scaleSdG, weighIns, maxH }, calcTables)].flat()
  if (!answer?.ok) throw new Error(JSON.stringify(answer))
  return answer.result as Answer
}
