import type { ScaleAct } from '@harina/core'
import { playedScale } from '#web/devices/scale.ts'
import { notify } from '#web/state/notify.ts'

export async function actOrSay(act: ScaleAct): Promise<void> {
  try {
    await playedScale.act(act)
  } catch {
    notify('The scale does not answer', { description: 'Type what is on it; nothing here is lost.' })
  }
}
