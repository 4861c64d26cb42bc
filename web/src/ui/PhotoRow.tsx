/** Photos of a batch in a row, each with the step and hour it was taken at. */
import { plainTextFrom, type Photo, type Plan } from '@harina/core'
import { useLiveQuery } from 'dexie-react-hooks'
import { format } from 'date-fns'
import { notify } from '../state/notify.ts'
import { repository } from '../storage/index.ts'
import { stepName } from './words.ts'

export const usePhotos = (batch: string): readonly Photo[] =>
  useLiveQuery(() => repository.photosOf(batch), [batch]) ?? []

function Picture({ photo, plan }: { photo: Photo; plan: Plan }) {
  const step = plan.steps.find(({ id }) => id === photo.step)
  const when = `${step ? stepName(step) : 'On the way'}, ${format(photo.at, 'HH:mm')}`
  const remove = () => {
    void repository.deletePhoto(photo.id)
    notify('The photo is gone', { action: { label: 'Undo', onClick: () => void repository.putPhoto(photo) } })
  }
  return (
    <li className="w-[200px]">
      <img
        src={`data:${photo.type};base64,${photo.base64}`}
        width={photo.widthPx}
        height={photo.heightPx}
        alt={photo.note || when}
        className="h-auto max-h-[200px] w-full border border-ink object-contain"
      />
      <p className="small mt-1 flex justify-between gap-2">
        <span>{when}</span>
        <button type="button" className="quiet" aria-label={`Remove the photo of ${when}`} onClick={remove}>
          Remove
        </button>
      </p>
      <input
        className="field w-full text-[15px]"
        aria-label={`What the photo of ${when} shows`}
        placeholder="What it shows"
        defaultValue={photo.note}
        maxLength={400}
        onBlur={(event) => {
          const note = plainTextFrom(event.target.value, 400)
          if (note !== photo.note) void repository.putPhoto({ ...photo, note })
        }}
      />
    </li>
  )
}

export function PhotoRow({ photos, plan }: { photos: readonly Photo[]; plan: Plan }) {
  return (
    <ul aria-label="Photos" className="flex flex-wrap gap-4">
      {photos.map((photo) => (
        <Picture key={photo.id} photo={photo} plan={plan} />
      ))}
    </ul>
  )
}
