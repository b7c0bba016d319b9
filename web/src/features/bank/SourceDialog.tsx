import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { holds } from '@/lib/sorting'
import { useMedia } from '@/media/place'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { Failed, Loading } from '@/ui/States'
import { sorry } from '@/ui/sorry'
import { toast } from '@/ui/toast'

type Page = NonNullable<Schemas['Item']['goBack']>

const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign)

/** A source of one of the team’s papers as a page to go back to: as it stands there now, with its picture. */
export function SourceDialog({ onClose, onTake }: { onClose: () => void; onTake: (page: Page) => void }) {
  const [q, setQ] = useState('')
  const [busy, setBusy] = useState(false)
  const { about } = useMedia()
  const list = useQuery({ queryKey: ['papers', 'sources'], queryFn: () => take(api.GET('/api/sources')) })
  const found = list.data?.sources.filter((s) => holds(`${s.title} ${s.begins} ${s.paper}`, q)) ?? []
  const choose = async (paperId: string, entryId: string) => {
    setBusy(true)
    try {
      const { paper } = await take(api.GET('/api/papers/{id}', { params: { path: { id: paperId } } }))
      const entry = paper.sections.flatMap((s) => s.entries).find((e) => e.id === entryId)
      if (entry?.kind !== 'source') {
        toast('This source is not in that paper any more. Choose another.', { bad: true })
        return
      }
      const { title, html, picture, alt } = entry.source
      const [file] = picture ? await about([picture]) : []
      const shown = file
        ? `<p><img data-file="${file.id}" alt="${escaped(alt)}" width="${file.width}" height="${file.height}"></p>`
        : ''
      onTake({ title, text: shown + html })
      onClose()
    } catch (thrown) {
      sorry(thrown)
    } finally {
      setBusy(false)
    }
  }
  return (
    <Dialog open onClose={onClose} title="Go back to a source">
      <TextField
        label="Search"
        hideLabel
        type="search"
        placeholder="words of the source or its paper"
        value={q}
        onChange={(e) => setQ(e.target.value)}
        autoFocus
      />
      {list.isPending ? <Loading what="The papers are looked through" /> : null}
      {list.isError ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
      {list.data && found.length === 0 ? (
        <p className="py-3 text-quiet">
          {list.data.sources.length === 0 ? 'No paper of the team has a source yet.' : 'No source fits these words.'}
        </p>
      ) : null}
      <ul className="mt-2">
        {found.map((s) => (
          <li key={`${s.paperId} ${s.entryId}`} className="border-b">
            <button
              type="button"
              disabled={busy}
              className="w-full px-1 py-2 text-left hover:bg-pale"
              onClick={() => void choose(s.paperId, s.entryId)}
            >
              <b>{s.title || 'Source'}</b> <span className="text-sm text-quiet">in {s.paper}</span>
              <span className="block truncate text-sm text-quiet">
                {s.begins || (s.hasPicture ? 'a picture' : 'nothing in it yet')}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  )
}
