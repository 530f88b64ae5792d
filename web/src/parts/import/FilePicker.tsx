import Button, { type ButtonProps } from '@mui/material/Button'
import { useRef, type ChangeEvent } from 'react'
import { readPicked, type PickedFile } from './readPicked.ts'

interface Props extends Pick<ButtonProps, 'variant' | 'size'> {
  readonly label: string
  /** What the file is, for those who do not see the button. */
  readonly name: string
  readonly accept: string
  readonly onPick: (file: PickedFile) => void
}

/** A button that lets a file be chosen and reads it. */
export function FilePicker({ label, name, accept, onPick, ...look }: Props) {
  const input = useRef<HTMLInputElement>(null)
  const pick = async (event: ChangeEvent<HTMLInputElement>) => {
    const picked = await readPicked(event)
    if (picked) onPick(picked)
  }
  return (
    <>
      <Button {...look} sx={{ justifySelf: 'start' }} onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input ref={input} type="file" accept={accept} hidden aria-label={name} onChange={(event) => void pick(event)} />
    </>
  )
}
