import { exportEverything } from '../../state/files.ts'
import { notify, notifyTrouble } from '../../state/notify.ts'

/** Exports, and says what became of it. */
export async function saveEverything(): Promise<void> {
  try {
    const { withoutPhotos } = await exportEverything()
    if (withoutPhotos)
      return notifyTrouble(
        'Exported, without the photos',
        'With them the file would be longer than can be read again. Remove photos that you no longer need, then export anew.',
      )
    notify('Exported', { description: 'The file is where your browser puts downloads.' })
  } catch (error) {
    notifyTrouble(
      'The file could not be made',
      `Load the page anew and try again. (${error instanceof Error ? error.name : 'unknown'})`,
    )
  }
}
