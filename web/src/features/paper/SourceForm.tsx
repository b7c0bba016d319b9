import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { AreaField, TextField } from '@/ui/Field'
import { RichEditor } from '@/ui/RichEditor'
import { Button } from '@/ui/Button'

type Source = Schemas['Source']

/** A passage, a picture, or both. */
export function SourceForm({ source, onChange }: { source: Source; onChange: (source: Source) => void }) {
  const [fault, setFault] = useState('')
  const [busy, setBusy] = useState(false)
  const upload = async (file: File | undefined) => {
    if (!file) return
    setBusy(true)
    setFault('')
    const body = new FormData()
    body.append('file', file)
    try {
      const response = await fetch('/api/files', { method: 'POST', body, headers: { 'X-Chalk-Ladder': '1' } })
      const answer = (await response.json()) as { id?: string; title?: string; detail?: string }
      if (response.ok && answer.id) onChange({ ...source, picture: answer.id })
      else setFault(answer.detail ?? answer.title ?? 'This picture was not taken.')
    } catch {
      setFault('The server cannot be reached. Try again in a moment.')
    } finally {
      setBusy(false)
    }
  }
  return (
    <div className="flex flex-col gap-4">
      <TextField
        label="Title of the source"
        value={source.title}
        onChange={(e) => onChange({ ...source, title: e.target.value })}
      />
      <RichEditor label="Passage" value={source.html} onChange={(html) => onChange({ ...source, html })} />
      {source.picture ? (
        <figure>
          <img src={`/api/files/${source.picture}`} alt={source.alt} className="max-h-96 rounded border" />
          <div className="mt-2">
            <Button size="small" onClick={() => onChange({ ...source, picture: null })}>
              Take the picture out
            </Button>
          </div>
        </figure>
      ) : (
        <label className="flex flex-col gap-1 text-sm font-semibold">
          Picture: PNG, JPEG, GIF or WebP, at most 2 MB
          <input
            type="file"
            accept="image/png,image/jpeg,image/gif,image/webp"
            disabled={busy}
            onChange={(e) => void upload(e.target.files?.[0])}
            className="font-normal"
          />
        </label>
      )}
      {fault ? (
        <p role="alert" className="font-semibold text-bad">
          ✕ {fault}
        </p>
      ) : null}
      {source.picture ? (
        <AreaField
          label="What the picture shows, for who cannot see it"
          rows={2}
          value={source.alt}
          onChange={(e) => onChange({ ...source, alt: e.target.value })}
        />
      ) : null}
    </div>
  )
}
