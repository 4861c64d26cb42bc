/** A photo as it is kept: turned upright, no larger than a screen shows, a JPEG without what the camera wrote about place and time. */
import type { Photo } from '@harina/core'

/** Longest side kept, px. */
export const PHOTO_MAX_PX = 1280
const QUALITY = 0.78
const FILE_MAX_BYTES = 60_000_000

export type PhotoProblem = 'not-a-picture' | 'too-big'

export type Reduced = Pick<Photo, 'type' | 'base64' | 'widthPx' | 'heightPx'>

/** Width and height with the longer one brought down to the most; never brought up. */
export function fitted(widthPx: number, heightPx: number, maxPx = PHOTO_MAX_PX): { widthPx: number; heightPx: number } {
  const share = Math.min(1, maxPx / Math.max(widthPx, heightPx))
  return { widthPx: Math.max(1, Math.round(widthPx * share)), heightPx: Math.max(1, Math.round(heightPx * share)) }
}

const base64Of = (url: string): string => url.slice(url.indexOf(',') + 1)

/** Drawn anew, so that nothing of the file but its pixels is kept. */
export async function reducePhoto(file: Blob): Promise<Reduced | PhotoProblem> {
  if (file.size > FILE_MAX_BYTES) return 'too-big'
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => null)
  if (!picture) return 'not-a-picture'
  const { widthPx, heightPx } = fitted(picture.width, picture.height)
  const canvas = document.createElement('canvas')
  canvas.width = widthPx
  canvas.height = heightPx
  canvas.getContext('2d')?.drawImage(picture, 0, 0, widthPx, heightPx)
  picture.close()
  return { type: 'image/jpeg', base64: base64Of(canvas.toDataURL('image/jpeg', QUALITY)), widthPx, heightPx }
}
