import type { ChangeEvent } from 'react'

/** A file that was chosen, read whole as text. */
export interface PickedFile {
  readonly name: string
  readonly text: string
}

/** Reads the file that was chosen, and lets the same one be chosen again. @returns undefined where none was */
export async function readPicked(event: ChangeEvent<HTMLInputElement>): Promise<PickedFile | undefined> {
  const [picked] = event.target.files ?? []
  event.target.value = ''
  return picked && { name: picked.name, text: await picked.text() }
}
