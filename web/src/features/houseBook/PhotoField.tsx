import Button from '@mui/material/Button'
import Box from '@mui/material/Box'
import { addressOf, operations } from '@tender-gill/contract/operations'
import { useRef, useState, type ChangeEvent } from 'react'
import { useKitchenId } from '../../kitchen/index.ts'
import { useGive } from '../../outbox/index.ts'
import { INK } from '../../theme.ts'
import { shrinkPhoto } from './shrinkPhoto.ts'

/** A picture of the plate, made small in the browser before it goes anywhere, and sent once there is a connection. */
export function PhotoField({
  dish,
  photo,
  onPhoto,
}: {
  readonly dish: string
  readonly photo: string | null
  readonly onPhoto: (id: string | null) => void
}) {
  const input = useRef<HTMLInputElement>(null)
  const kitchen = useKitchenId()
  const give = useGive()
  const [seen, setSeen] = useState<string | null>(null)
  const [problem, setProblem] = useState(false)
  const pick = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const [file] = target.files ?? []
    target.value = ''
    if (!file) return
    const jpeg = await shrinkPhoto(file)
    setProblem(jpeg === null)
    if (jpeg === null) return
    const id = crypto.randomUUID()
    give('keepPhoto', { id, jpeg }, { about: `photo ${id}`, words: `A picture of ${dish}.` })
    setSeen(`data:image/jpeg;base64,${jpeg}`)
    onPhoto(id)
  }
  const source = seen ?? (photo === null ? null : addressOf(operations.photo, { kitchen, id: photo }))
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
      {photo !== null && source !== null && (
        <img src={source} alt={`${dish} as it was served`} width={96} style={{ border: `1px solid ${INK.hairline}` }} />
      )}
      <Button onClick={() => input.current?.click()} sx={{ minHeight: 44 }}>
        {photo === null ? 'A photo' : 'Another photo'}
      </Button>
      {photo !== null && (
        <Button onClick={() => onPhoto(null)} sx={{ minHeight: 44 }}>
          Without it
        </Button>
      )}
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        aria-label={`Photo of ${dish}`}
        onChange={(event) => void pick(event)}
      />
      {problem && <span role="alert">That picture could not be read.</span>}
    </Box>
  )
}
