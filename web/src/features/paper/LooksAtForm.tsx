import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { TextField } from '@/ui/Field'
import { NumberField } from '@/ui/NumberField'
import { inPixels, inThousandths, stretchOf } from '@/media/looks'
import { Pins } from '@/media/Pins'
import { SelectField } from '@/ui/Select'
import { useAbout } from '@/media/useAbout'
import { usePictureSize } from '@/media/usePictureSize'
import { clock } from '@/media/words'
import { withEntry, type Paper, type Section } from './draft'

type Question = Extract<Schemas['Entry'], { kind: 'question' }>
type SourceEntry = Extract<Schemas['Entry'], { kind: 'source' }>
type Anchor = Schemas['Anchor']

const linesIn = (html: string) =>
  new DOMParser().parseFromString(html, 'text/html').querySelectorAll('ol[data-lines] > li').length

type Way = 'lines' | 'place' | 'page' | 'moment'

/** What of a source can be looked at: its numbered lines, its picture, the pages of a PDF, what is played. */
const waysOf = ({ source }: SourceEntry, pages: number): Way[] => [
  ...(linesIn(source.html) > 0 ? (['lines'] as const) : []),
  ...(source.picture ? (['place'] as const) : []),
  ...(source.file ? [pages > 0 ? ('page' as const) : ('moment' as const)] : []),
]

const SAID: Record<Way, string> = {
  lines: 'lines of',
  place: 'a place on the picture of',
  page: 'a place on a page of',
  moment: 'a stretch of',
}
const wayOf = (at: Anchor): Way =>
  at.from !== undefined ? 'lines' : at.page !== undefined ? 'page' : at.x !== undefined ? 'place' : 'moment'
const BEGUN: Record<Way, Omit<Anchor, 'source'>> = {
  lines: { from: 1, to: 1 },
  place: { x: 500, y: 500 },
  page: { x: 500, y: 500, page: 1 },
  moment: { moment: 0 },
}

/** Where in what stands before it a question looks. */
export function LooksAtForm({
  paper,
  section,
  entry,
  onChange,
}: {
  paper: Paper
  section: Section
  entry: Question
  onChange: (paper: Paper) => void
}) {
  const before = section.entries
    .slice(0, section.entries.indexOf(entry))
    .filter((e): e is SourceEntry => e.kind === 'source')
  const about = useAbout(before.flatMap((e) => e.source.file ?? []))
  const pagesOf = (e: SourceEntry | undefined) => about.find((file) => file.id === e?.source.file)?.pages ?? 0
  const choices = before.flatMap((e) =>
    waysOf(e, pagesOf(e)).map((way) => ({
      value: `${e.id} ${way}`,
      label: `${SAID[way]} ${e.source.title || 'the source'}`,
    })),
  )
  const set = (looksAt: Anchor | undefined) => onChange(withEntry(paper, { ...entry, looksAt }))
  const at = entry.looksAt
  if (before.length === 0 && !at) return null
  const source = before.find((e) => e.id === at?.source)
  return (
    <div className="flex flex-col gap-2">
      <SelectField
        label="It looks at"
        value={at ? `${at.source} ${wayOf(at)}` : ''}
        onChange={(value) => {
          const [id = '', way = 'lines'] = value.split(' ')
          set(value === '' ? undefined : { source: id, ...BEGUN[way as Way] })
        }}
        options={[
          { value: '', label: 'the whole' },
          ...choices,
          ...(at && !choices.some((c) => c.value === `${at.source} ${wayOf(at)}`)
            ? [{ value: `${at.source} ${wayOf(at)}`, label: 'something that is there no more' }]
            : []),
        ]}
      />
      {choices.length === 0 ? (
        <p className="text-sm text-quiet">
          Number the lines of a passage (“# lines” among its tools), or give the source a picture or a sound: then a
          question can look at a part of it.
        </p>
      ) : null}
      {at && source && wayOf(at) === 'lines' ? (
        <Lines at={at} most={linesIn(source.source.html)} onChange={set} />
      ) : null}
      {at && source?.source.picture && wayOf(at) === 'place' ? (
        <Place file={source.source.picture} alt={source.source.alt} at={at} onChange={set} />
      ) : null}
      {at && source?.source.file && wayOf(at) === 'page' ? (
        <>
          <NumberField
            label={`Page, of ${pagesOf(source)}`}
            className="w-20"
            value={String(at.page ?? 1)}
            onChange={(text) =>
              set({ ...at, page: Math.max(1, Math.min(pagesOf(source), Math.round(Number(text)) || 1)) })
            }
          />
          <Place file={source.source.file} page={at.page} alt={`Page ${at.page ?? 1}`} at={at} onChange={set} />
        </>
      ) : null}
      {at && source && wayOf(at) === 'moment' ? <Moment key={entry.id} at={at} onChange={set} /> : null}
    </div>
  )
}

type Part = { at: Anchor; onChange: (at: Anchor) => void }

function Lines({ at, most, onChange }: Part & { most: number }) {
  const { source, from = 1, to = from } = at
  const within = (text: string) => Math.max(1, Math.min(most, Math.round(Number(text)) || 1))
  return (
    <div className="flex items-end gap-3">
      <NumberField
        label="From line"
        className="w-20"
        value={String(from)}
        onChange={(text) => onChange({ source, from: within(text), to: Math.max(within(text), to) })}
      />
      <NumberField
        label="to line"
        className="w-20"
        value={String(to)}
        onChange={(text) => onChange({ source, from: Math.min(from, within(text)), to: within(text) })}
      />
      <span className="pb-2 text-sm text-quiet">of {most}</span>
    </div>
  )
}

/** Seconds as they stand beside a player: 75, or 1:15. */
const readMoment = (text: string): number | null => {
  const read = /^\s*(?:(\d{1,3}):)?(\d{1,5})\s*$/.exec(text)
  return read ? Number(read[1] ?? 0) * 60 + Number(read[2]) : null
}

function Moment({ at, onChange }: Part) {
  const { source } = at
  const [first, last] = stretchOf(at)
  return (
    <div className="flex items-end gap-3">
      <Second label="From" value={first} onChange={(n) => onChange({ source, moment: n, until: Math.max(n, last) })} />
      <Second label="to" value={last} onChange={(n) => onChange({ source, moment: Math.min(first, n), until: n })} />
      <span className="pb-2 text-sm text-quiet">minutes and seconds</span>
    </div>
  )
}

function Second({ label, value, onChange }: { label: string; value: number; onChange: (seconds: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  const fault = typed !== null && readMoment(typed) === null
  return (
    <TextField
      label={label}
      className="w-20"
      value={typed ?? clock(value)}
      fault={fault ? 'Write it as 1:15.' : undefined}
      onChange={(e) => {
        setTyped(e.target.value)
        const next = readMoment(e.target.value)
        if (next !== null) onChange(Math.min(next, 4 * 3600))
      }}
      onBlur={() => !fault && setTyped(null)}
    />
  )
}

/** A place on the picture, pressed or moved by arrow keys. */
function Place({ file, page, alt, at, onChange }: Part & { file: string; page?: number; alt: string }) {
  const size = usePictureSize(file, page)
  const { x = 500, y = 500 } = at
  if (!size) return <p className="text-sm text-quiet">Looking up the picture …</p>
  const put = (to: { x: number; y: number }) => onChange({ ...at, ...inThousandths(to, size) })
  return (
    <Pins
      label="Where the question looks"
      picture={{ file, alt, ...size }}
      page={page}
      pins={[{ id: 'at', ...inPixels({ x, y }, size), text: '', said: 'The place it looks at' }]}
      mode="points"
      onAdd={put}
      onChange={(_, to) => put(to)}
    />
  )
}
