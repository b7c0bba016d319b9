import { useState } from 'react'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { PictureField } from './PictureField'
import type { Asked } from './TextPictures'

/** A picture for a text, with what it shows in words. */
export function ChoosePicture({ asked: { now, put }, onClose }: { asked: Asked; onClose: () => void }) {
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
