import { useQueryClient } from '@tanstack/react-query'
import { X } from 'lucide-react'
import { useState } from 'react'
import { letter } from '@/answers/parts/letter'
import { api, take, type Schemas } from '@/lib/api/client'
import { dropUnsaved, keepUnsaved, unsaved } from '@/lib/drafts/device'
import { plural } from '@/lib/format'
import { inPixels, inThousandths } from '@/media/looks'
import { Pins, type Pin } from '@/media/Pins'
import { useMedia } from '@/media/place'
import { useAbout } from '@/media/useAbout'
import { usePictureSize } from '@/media/usePictureSize'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { NumberField } from '@/ui/NumberField'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'
import {
  anchorOf,
  asNotes,
  faultOf,
  freshPlace,
  inReadingOrder,
  pagesToDrawOn,
  lettersOf,
  WAYS,
  type AnswerPlace,
} from './answerPlaces'
import { sectionOf, type Paper } from './draft'
import { pageAsPicture } from './pageAsPicture'

/** Answer places on the pages of a PDF: each is pressed where it stands, told what is right, and becomes a question. */
export function PlacesDialog({
  paper,
  source,
  onKept,
  onClose,
}: {
  paper: Paper
  /** id of the source's entry */
  source: string
  /** where each of the new questions looks, by its id in the bank */
  onKept: (made: Record<string, Schemas['Anchor']>) => void
  onClose: () => void
}) {
  const client = useQueryClient()
  const place = `places-${source}`
  const section = sectionOf(paper, source)
  const entry = section?.entries.find((e) => e.id === source)
  const { file = '', title = '' } = entry?.kind === 'source' ? entry.source : {}
  const [about] = useAbout(file ? [file] : [])
  const pages = about?.pages ?? 1
  const [page, setPage] = useState(1)
  const [places, setPlaces] = useState(() => unsaved<AnswerPlace[]>(place) ?? [])
  const [chosen, setChosen] = useState<string | null>(null)
  // Only the same ones, sent again, are kept once.
  const [request, setRequest] = useState(() => crypto.randomUUID())
  const [tried, setTried] = useState(false)
  const [busy, setBusy] = useState(false)
  const [error, setError] = useState<unknown>(null)
  const { urlOf } = useMedia()
  const size = usePictureSize(file, page)
  const there = (section?.entries ?? []).flatMap((e) =>
    e.kind === 'question' && e.looksAt?.source === source ? [e.looksAt] : [],
  )
  const order = inReadingOrder(places)
  const numberOf = (id: string) => there.length + order.findIndex((p) => p.id === id) + 1
  const put = (next: AnswerPlace[]) => {
    setPlaces(next)
    keepUnsaved(place, next)
    setRequest(crypto.randomUUID())
    setError(null)
  }
  const change = (id: string, part: Partial<AnswerPlace>) =>
    put(places.map((p) => (p.id === id ? { ...p, ...part } : p)))
  const keep = async () => {
    setTried(true)
    const faulty = order.find((p) => faultOf(p) !== '')
    if (faulty) {
      setPage(faulty.page)
      setChosen(faulty.id)
      return
    }
    setBusy(true)
    setError(null)
    try {
      const drawable = new Map<number, Schemas['Picture']>()
      for (const number of pagesToDrawOn(order))
        drawable.set(number, await pageAsPicture(urlOf(file, number), `Page ${number} of ${title || 'the sheet'}`))
      const text = asNotes(order, title, there.length + 1, drawable)
      const { ids } = await take(
        api.POST('/api/items/notes/keep', { body: { text, table: false, requestId: request } }),
      )
      void client.invalidateQueries({ queryKey: ['items'] })
      dropUnsaved(place)
      onKept(Object.fromEntries(ids.map((id, i) => [id, anchorOf(order[i]!, source)])))
    } catch (thrown) {
      setError(thrown)
      setBusy(false)
    }
  }
  const pins: Pin[] = size
    ? [
        ...there
          .filter((at) => at.page === page)
          .map((at, i) => ({
            id: `there-${i}`,
            ...inPixels({ x: at.x ?? 0, y: at.y ?? 0 }, size),
            text: '',
            said: 'A question that is in the paper',
          })),
        ...places
          .filter((p) => p.page === page)
          .map((p) => ({
            id: p.id,
            ...inPixels(p, size),
            text: String(numberOf(p.id)),
            said: `Answer place ${numberOf(p.id)}`,
          })),
      ]
    : []
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Answer places"
      foot={
        <>
          <FaultLine error={error} />
          <Button kind="do" disabled={places.length === 0 || busy} onClick={() => void keep()}>
            {places.length === 0 ? 'Press where an answer goes' : `Make ${plural(places.length, 'question')} of them`}
          </Button>
        </>
      }
    >
      <div className="flex flex-col gap-5 md:flex-row">
        <div className="min-w-0 flex-[3]">
          {size ? (
            <Pins
              label={`Page ${page}`}
              picture={{ file, alt: `Page ${page} of ${title}`, ...size }}
              page={page}
              pins={pins}
              mode="points"
              onAdd={(to) => {
                const made = freshPlace({ ...inThousandths(to, size), page }, places.at(-1))
                put([...places, made])
                setChosen(made.id)
              }}
              onChange={(id, to) => change(id, inThousandths(to, size))}
              onRemove={(id) => put(places.filter((p) => p.id !== id))}
            />
          ) : (
            <p className="text-quiet">Drawing the page …</p>
          )}
          {pages > 1 ? (
            <div className="mt-2 flex items-center gap-3 text-[15px] text-quiet">
              <Button size="small" disabled={page === 1} onClick={() => setPage(page - 1)}>
                Page before
              </Button>
              page {page} of {pages}
              <Button size="small" disabled={page === pages} onClick={() => setPage(page + 1)}>
                Next page
              </Button>
            </div>
          ) : null}
        </div>
        <ol className="flex min-w-0 flex-[2] flex-col gap-4" aria-label="Answer places">
          {order.length === 0 ? (
            <li className="text-quiet">
              Press the sheet where an answer goes, then say what is right there. The next one is of the same kind until
              you change it. By keys: arrows move the cross on the sheet, Enter sets a place.
            </li>
          ) : null}
          {order.map((one) => (
            <Place
              key={one.id}
              number={numberOf(one.id)}
              place={one}
              fresh={one.id === chosen}
              fault={tried ? faultOf(one) : ''}
              onChange={(part) => change(one.id, part)}
              onRemove={() => put(places.filter((p) => p.id !== one.id))}
            />
          ))}
        </ol>
      </div>
    </Dialog>
  )
}

type PlaceProps = {
  number: number
  place: AnswerPlace
  /** it has just been set, or something is missing in it */
  fresh: boolean
  fault: string
  onChange: (part: Partial<AnswerPlace>) => void
  onRemove: () => void
}

function Place({ number, place, fresh, fault, onChange, onRemove }: PlaceProps) {
  const { way, marks } = place
  return (
    <li className="flex flex-col gap-2 border-t pt-2">
      <div className="flex items-center gap-2">
        <b className="w-6 font-head text-lg">{number}</b>
        <div className="min-w-0 flex-1">
          <SelectField
            label={`What is asked for at ${number}`}
            hideLabel
            size="small"
            value={way}
            onChange={(next) => onChange({ way: next, key: next === 'tick' ? 'yes' : '' })}
            options={WAYS}
          />
        </div>
        <Button kind="quiet" size="small" aria-label={`Take place ${number} out`} onClick={onRemove}>
          <X aria-hidden className="size-4" />
        </Button>
      </div>
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <Right number={number} place={place} fresh={fresh} fault={fault} onChange={onChange} />
        </div>
        <div className="flex items-center gap-1 text-sm text-quiet">
          <span className="w-12">
            <NumberField
              label={`Marks for ${number}`}
              hideLabel
              value={marks}
              onChange={(text) => onChange({ marks: text || '0' })}
            />
          </span>
          {marks === '1' ? 'mark' : 'marks'}
        </div>
      </div>
    </li>
  )
}

/** What is right at a place, in the way in which it is asked for. */
function Right({ number, place, fresh, fault, onChange }: Omit<PlaceProps, 'onRemove'>) {
  const { way, key, letters } = place
  if (way === 'write')
    return (
      <TextField
        label={`What is right at ${number}`}
        hideLabel
        placeholder="what is right: ebb, or 3.65 m"
        maxLength={500}
        // Whoever has just set it goes on to say what is right.
        autoFocus={fresh}
        value={key}
        onChange={(e) => onChange({ key: e.target.value })}
        fault={fault || undefined}
      />
    )
  if (way === 'pick')
    return (
      <div className="flex flex-wrap items-center gap-2">
        <SelectField
          label={`Letters at ${number}`}
          hideLabel
          size="small"
          wide={false}
          value={String(letters)}
          onChange={(n) => onChange({ letters: Number(n), key: '' })}
          options={[2, 3, 4, 5, 6].map((n) => ({ value: String(n), label: `A to ${letter(n - 1)}` }))}
        />
        <SelectField
          label={`What is right at ${number}`}
          hideLabel
          size="small"
          wide={false}
          value={key}
          onChange={(right) => onChange({ key: right })}
          options={[
            { value: '', label: 'which is right?' },
            ...lettersOf(place).map((l) => ({ value: l, label: `${l} is right` })),
          ]}
        />
        {fault ? <span className="text-sm font-semibold text-bad">✕ {fault}</span> : null}
      </div>
    )
  if (way === 'tick')
    return (
      <SelectField
        label={`What is right at ${number}`}
        hideLabel
        size="small"
        value={key}
        onChange={(right) => onChange({ key: right })}
        options={[
          { value: 'yes', label: 'it is to be ticked' },
          { value: 'no', label: 'it is to be left empty' },
        ]}
      />
    )
  return <p className="pt-1 text-sm text-quiet">Marked by hand, right or not.</p>
}
