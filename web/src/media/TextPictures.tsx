import { useCallback, useMemo, useState, type ReactNode } from 'react'
import { PictureAsked, PictureSent, type AskPicture, type SendPicture, type TextPicture } from '@/lib/pictures'
import { later } from '@/ui/later'
import { useMedia } from './place'
import { Sending } from './sending'

// Its form is fetched by whoever puts a picture in.
const ChoosePicture = later(() => import('./ChoosePicture').then((it) => it.ChoosePicture))

export type Asked = { now: TextPicture | null; put: (picture: TextPicture | null) => void }

/** Lets the texts below have pictures: one is chosen or dropped, and what it shows is said in words. */
export function TextPictures({ children }: { children: ReactNode }) {
  const [asked, setAsked] = useState<Asked | null>(null)
  const ask = useCallback<AskPicture>((now, put) => setAsked({ now, put }), [])
  const { uploads } = useMedia()
  const send = useMemo<SendPicture | null>(() => (uploads === null ? null : (file) => sent(uploads, file)), [uploads])
  return (
    <PictureAsked.Provider value={ask}>
      <PictureSent.Provider value={send}>{children}</PictureSent.Provider>
      {asked ? <ChoosePicture asked={asked} onClose={() => setAsked(null)} /> : null}
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
