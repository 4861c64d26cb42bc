import { nanoid } from 'nanoid'
import { useState } from 'react'
import { notifyTrouble } from '#web/state/notify.ts'
import { timeNow } from '#web/state/bench.ts'
import { usePhotos } from '#web/state/useStored.ts'
import { put } from '#web/state/workspace.ts'
import { PHOTO_MAX_PX, reducePhoto, type PhotoProblem } from '#web/devices/reducePhoto.ts'
import { PhotoRow } from '#web/ui/PhotoRow.tsx'
import { SidePanel } from '#web/ui/SidePanel.tsx'
import { useBench } from '../view.tsx'
import { stepName } from '#web/words/index.ts'

const problemWords: Readonly<Record<PhotoProblem, string>> = {
  'not-a-picture': 'This browser cannot read it as a picture. Take it as JPEG or PNG.',
  'too-big': 'It is over 60 MB. Take it smaller.',
}

/** Photos of the step at hand, from a file or the camera. */
export default function Photos({ onClose }: { onClose: () => void }) {
  const { running, step } = useBench()
  const { batch } = running
  const photos = usePhotos(batch.id)
  const [busy, setBusy] = useState(0)

  const keep = async (file: File) => {
    const reduced = await reducePhoto(file)
    if (typeof reduced === 'string')
      return notifyTrouble(`${file.name.slice(0, 40)} is not kept`, problemWords[reduced])
    await put('photo', { ...reduced, id: nanoid(), batch: batch.id, step: step.id, at: timeNow(), note: '' }).stored
  }
  const take = async (files: FileList | null) => {
    const chosen = [...(files ?? [])]
    setBusy(chosen.length)
    for (const file of chosen) {
      try {
        await keep(file)
      } catch {
        notifyTrouble(`${file.name.slice(0, 40)} is not kept`, problemWords['not-a-picture'])
      }
      setBusy((left) => left - 1)
    }
  }
  const chooser = (label: string, camera: boolean) => (
    <label className="press flex min-h-15 flex-1 cursor-pointer items-center justify-center focus-within:outline-2">
      {label}
      <input
        type="file"
        accept="image/*"
        className="sr-only"
        aria-label={label}
        multiple={!camera}
        {...(camera ? { capture: 'environment' as const } : {})}
        onChange={(event) => {
          void take(event.target.files)
          event.target.value = ''
        }}
      />
    </label>
  )
  return (
    <SidePanel title="Photos" onClose={onClose}>
      <p className="mb-3 leading-snug">
        Of this step, {stepName(step).toLowerCase()}. They stay in this browser and in your exported file, drawn down to{' '}
        {PHOTO_MAX_PX} pixels, without the place a camera writes into them.
      </p>
      <div className="mb-4 flex gap-2">
        {chooser('With the camera', true)}
        {chooser('From a file', false)}
      </div>
      <p role="status" className="min-h-6">
        {busy > 0 ? `Drawing ${busy} down…` : photos.length === 0 ? 'None of this batch yet.' : ''}
      </p>
      <PhotoRow photos={photos} plan={batch.plan} />
    </SidePanel>
  )
}
