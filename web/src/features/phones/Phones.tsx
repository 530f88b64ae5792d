import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { PairingCode, Phone } from '@tender-gill/contract'
import { useState } from 'react'
import { useCreatePairingCodeMutation, usePhonesQuery, useRevokePhoneMutation } from '../../api/api.ts'
import { describeFailure } from '../../notices/index.ts'
import { describeMoment } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'

/** A code in two halves is read across a kitchen. */
const inHalves = (code: string): string => `${code.slice(0, 4)} ${code.slice(4)}`

function Code({ code: { code, address, expiresAt, qrSvg } }: { readonly code: PairingCode }) {
  const [page] = address.split('?')
  return (
    <Box role="status" aria-label="Pairing code" sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', my: 1.5 }}>
      <Box
        component="img"
        alt={`A picture of ${address}`}
        src={`data:image/svg+xml;utf8,${encodeURIComponent(qrSvg)}`}
        sx={{ width: 168, height: 168, border: `1px solid ${INK.hairline}`, bgcolor: '#fff' }}
      />
      <div>
        <Typography>Point the phone’s camera at it, or open on the phone</Typography>
        <Typography sx={{ fontWeight: 700, wordBreak: 'break-all' }}>{page}</Typography>
        <Typography>and type</Typography>
        <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 34, letterSpacing: '0.06em', lineHeight: 1.2 }}>
          {inHalves(code)}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          For one phone, until {describeMoment(expiresAt)}.
        </Typography>
      </div>
    </Box>
  )
}

function PhoneLine({ phone: { id, name, pairedAt, lastSeenAt } }: { readonly phone: Phone }) {
  const [revoke, { isLoading, error }] = useRevokePhoneMutation()
  return (
    <Box
      component="li"
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, borderTop: `1px solid ${INK.hairline}`, py: 0.5 }}
    >
      <Box sx={{ flex: 1, minWidth: 200 }}>
        <Typography sx={{ fontWeight: 700 }}>{name}</Typography>
        <Typography variant="body2" color="text.secondary">
          paired {describeMoment(pairedAt)}
          {lastSeenAt ? `, last seen ${describeMoment(lastSeenAt)}` : ', not seen yet'}
        </Typography>
        {error && <Alert severity="error">{describeFailure(error)}</Alert>}
      </Box>
      <Button color="error" disabled={isLoading} onClick={() => void revoke(id)} sx={{ minHeight: 44 }}>
        Shut it out
      </Button>
    </Box>
  )
}

/** Phones of the kitchen on the local network: whether any may come in, a code for another, and shutting one out. Nothing on a phone itself. */
export function Phones() {
  const { data: state } = usePhonesQuery()
  const [create, { data: code, isLoading, error }] = useCreatePairingCodeMutation()
  /** Those that were let in before the code was asked for: one that was not among them came by it. */
  const [before, setBefore] = useState<readonly string[] | null>(null)
  if (!state) return null
  const cameBy = before && state.phones.find(({ id }) => !before.includes(id))
  return (
    <Box component="section" aria-labelledby="phones">
      <Typography id="phones" variant="h2" gutterBottom>
        Phones
      </Typography>
      {state.open ? (
        <>
          <Typography gutterBottom>
            A phone on your network sees this kitchen once it is paired: the buy sheet at the counter, the dishes at the stove. It warns of
            the certificate first, since this machine made it itself: compare the fingerprint, and go on where it is the same.
          </Typography>
          <Typography variant="body2" sx={{ wordBreak: 'break-all', mb: 1 }}>
            SHA-256 <b>{state.fingerprint}</b>
          </Typography>
          <Button
            variant="contained"
            disabled={isLoading}
            onClick={() => {
              setBefore(state.phones.map(({ id }) => id))
              void create()
            }}
          >
            Pair a phone
          </Button>
          {error && <Alert severity="error">{describeFailure(error)}</Alert>}
          {before && code && !cameBy && <Code code={code} />}
          {cameBy && (
            <Alert severity="success" sx={{ mt: 1.5 }}>
              {cameBy.name} is paired.
            </Alert>
          )}
        </>
      ) : (
        <Typography gutterBottom>
          Nothing listens beyond this machine. Start with <b>npm start -- --lan</b>, and phones on your network can be paired here.
        </Typography>
      )}
      {state.phones.length > 0 && (
        <Box component="ul" aria-label="Paired phones" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1.5 }}>
          {state.phones.map((phone) => (
            <PhoneLine key={phone.id} phone={phone} />
          ))}
        </Box>
      )}
    </Box>
  )
}
