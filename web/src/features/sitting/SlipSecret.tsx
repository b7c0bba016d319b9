import type { ComponentProps } from 'react'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'
import { later } from '@/ui/later'

const PicturePad = later(() => import('./PicturePad').then((it) => it.PicturePad))

/** What is sent of it. */
export const secretOf = (typed: string, byPictures: boolean) =>
  byPictures ? { pictures: typed.split(' ').filter(Boolean) } : { pin: typed }

/** What stands on the slip below the name: a PIN, or three pictures in its place. */
export function SlipSecret({
  field,
  value,
  byPictures,
  onPictures,
  onTurn,
}: {
  field: Omit<ComponentProps<typeof TextField>, 'label'>
  value: string
  byPictures: boolean
  onPictures: (typed: string) => void
  onTurn: (byPictures: boolean) => void
}) {
  return (
    <>
      {byPictures ? (
        <PicturePad
          value={value.split(' ').filter(Boolean)}
          fault={field.fault}
          onChange={(things) => onPictures(things.join(' '))}
        />
      ) : (
        <TextField
          label="PIN"
          className="min-h-12 font-mono text-lg"
          maxLength={20}
          inputMode="numeric"
          autoComplete="off"
          {...field}
        />
      )}
      <Button
        className="min-h-11"
        kind="quiet"
        onClick={() => {
          onPictures('')
          onTurn(!byPictures)
        }}
      >
        {byPictures ? 'I have a PIN' : 'I have three pictures'}
      </Button>
    </>
  )
}
