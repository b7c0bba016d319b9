import { useCallback, useMemo, useState, type ReactNode } from 'react'
import { PictureAsked, PictureSent, type AskPicture, type SendPicture, type TextPicture } from '@/lib/pictures'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { PictureField } from './PictureField'
import { useMedia } from './place'
import { Sending } from './sending'

type Asked = { now: TextPicture | null; put: (picture: TextPicture | null) => void }

/** Lets the texts below have pictures: one is chosen or dropped, and what it shows is said in words. */
export function TextPictures({ children }: { children: ReactNode }) {
  const [asked, setAsked] = useState<Asked | null>(null)
  const ask = useCallback<AskPicture>((now, put) => setAsked({ now, put }), [])
  const { uploads } = useMedia()
  const send = useMemo<SendPicture | null>(() => (uploads === null ? null : (file) => sent(uploads, file)), [uploads])
  return (
    <PictureAsked.Provider value={ask}>
      <PictureSent.Provider value={send}>{children}</PictureSent.Provider>
      {asked ? <Choose asked={asked} onClose={() => setAsked(null)} /> : null}
    </PictureAsked.Provider>
  )
}

const sent = (uploads: string, file: File) =>
  new Promise<TextPicture>((resolve, reject) => {
    const one: Sending = new Sending(uploads, { blob: file, name: file.name, kinds: ['picture'] }, null, () => {
      const { state } = one
      if (state.kind === 'refused') reject(new Error(state.why))
      if (state.kind === 'sent') {
        const { id, width, height } = state.file
        if (width && height) resolve({ file: id, alt: '', width, height })
        else reject(new Error('It is not a picture.'))
      }
    })
  })

function Choose({ asked: { now, put }, onClose }: { asked: Asked; onClose: () => void }) {
  const [picture, setPicture] = useState(now)
  return (
    <Dialog
      open
      onClose={onClose}
      title="Picture"
      foot={
        <>
          {now ? (
            <Button
              kind="danger"
              onClick={() => {
                put(null)
                onClose()
              }}
            >
              Take it out
            </Button>
          ) : null}
          <Button
            kind="do"
            disabled={!picture || picture.alt.trim() === ''}
            onClick={() => {
              put(picture)
              onClose()
            }}
          >
            Put into the text
          </Button>
        </>
      }
    >
      <PictureField label="A picture" picture={picture} onChange={setPicture} asked />
      {picture && picture.alt.trim() === '' ? (
        <p className="mt-2 text-sm text-quiet">Say what it shows: who cannot see it answers by these words.</p>
      ) : null}
    </Dialog>
  )
}
