/** Longest side of a picture that is kept, px, and the most it may weigh as base64. */
const SIDE_PX = 640
const MOST_LETTERS = 84_000
const QUALITIES = [0.7, 0.5, 0.35, 0.2]
const HEAD = 'data:image/jpeg;base64,'

/** A picture made small: JPEG as base64, of some tens of kilobytes; null where it cannot be read as one. */
export async function shrinkPhoto(file: Blob): Promise<string | null> {
  try {
    const picture = await createImageBitmap(file)
    const scale = Math.min(1, SIDE_PX / Math.max(picture.width, picture.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(picture.width * scale))
    canvas.height = Math.max(1, Math.round(picture.height * scale))
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
    picture.close()
    const tries = QUALITIES.map((quality) => canvas.toDataURL('image/jpeg', quality).slice(HEAD.length))
    return tries.find((jpeg) => jpeg.length <= MOST_LETTERS) ?? null
  } catch {
    return null
  }
}
