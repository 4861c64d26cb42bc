/** Photos of a batch in a row, each with the step and hour it was taken at. */
import type { Photo, Plan } from '@harina/core'
import { format } from 'date-fns'
import { changeFrom, remove, say } from '../state/workspace.ts'
import { TextField } from './TextField.tsx'
import { stepName } from '../words/index.ts'

function Picture({ photo, plan }: { photo: Photo; plan: Plan }) {
  const step = plan.steps.find(({ id }) => id === photo.step)
  const when = `${step ? stepName(step) : 'On the way'}, ${format(photo.at, 'HH:mm')}`
  return (
    <li className="w-50">
      <img
        src={`data:${photo.type};base64,${photo.base64}`}
        width={photo.widthPx}
        height={photo.heightPx}
        alt={photo.note || when}
        className="h-auto max-h-50 w-full border border-ink object-contain"
      />
      <p className="small mt-1 flex justify-between gap-2">
        <span>{when}</span>
        <button
          type="button"
          className="quiet"
          aria-label={`Remove the photo of ${when}`}
          onClick={() => void say('The photo is gone', remove('photo', photo))}
        >
          Remove
        </button>
      </p>
      <TextField
        className="w-full text-label"
        label={`What the photo of ${when} shows`}
        placeholder="What it shows"
        value={photo.note}
        max={400}
        onChange={(note) => void changeFrom('photo', photo, (now) => ({ ...now, note }))}
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
