import { type Look } from '@/media/looks'
import { inWords } from '@/media/looksInWords'
import { MediaProvider, printedPlace } from '@/media/place'
import { PlacePins } from '@/media/PlacePins'
import { useQuery } from '@tanstack/react-query'
import { useParams, useSearchParams } from 'react-router'
import { OnPaper } from '@/answers/OnPaper'
import { loadPapers } from '@/answers/registry'
import { api, take, type Schemas } from '@/lib/api/client'
import { rational, SURE } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import { Failed, Loading } from '@/ui/States'
import { PrintSheet } from './PrintSheet'
import { WaysOn } from './WaysOn'

/** The page that becomes a PDF: the paper, or the paper with its key. Reads well in greyscale. */
export default function PrintPaper() {
  const { id = '' } = useParams()
  const [params] = useSearchParams()
  const withKey = params.get('key') === '1'
  const version = params.get('version') ?? ''
  const large = params.get('large') === '1'
  const sheet = params.get('sheet') === '1'
  const paper = useQuery({
    queryKey: ['print', id, version],
    queryFn: async () => {
      const view = await take(
        api.GET('/api/print/papers/{id}', {
          params: { path: { id }, query: { ticket: params.get('ticket') ?? '', version } },
        }),
      )
      await loadPapers(Object.values(view.items).map((item) => item.type))
      return view
    },
    retry: false,
  })
  if (paper.isPending) return <Loading />
  if (!paper.data) return <Failed error={paper.error} />
  const { paper: doc, items, pictures, points, written } = paper.data
  const printed = doc.sections.flatMap((s) => s.entries).filter((e) => e.kind === 'question' && items[e.id])
  const numbers = new Map(printed.map((entry, i) => [entry.id, i + 1]))
  return (
    <MediaProvider value={printedPlace(pictures)}>
      <main
        className="mx-auto max-w-[700px] bg-white p-2 text-[15px] text-black"
        // All of it grows alike, pictures and answer lines too.
        style={large ? { zoom: 1.5, maxWidth: 466 } : undefined}
      >
        <header className="mb-5 flex items-end gap-6 border-b-2 border-black pb-2">
          <div className="flex-1">
            <h1 className="text-2xl">{doc.title}</h1>
            <p>
              {withKey ? 'Key · ' : ''}
              {sheet ? 'Answer sheet · ' : ''}
              {version ? `Version ${version} · ` : ''}
              {points} marks
            </p>
          </div>
          {withKey ? null : <p className="w-64 border-b border-black">Name</p>}
        </header>
        {sheet ? (
          <PrintSheet
            questions={printed.flatMap((entry, i) => {
              const item = items[entry.id]
              return item ? [{ id: entry.id, number: i + 1, item }] : []
            })}
          />
        ) : null}
        {(sheet ? [] : doc.sections).map((section) => (
          <section key={section.id} className={`mb-4 ${section.entries[0]?.breaks ? 'break-before-page' : ''}`}>
            {doc.sections.length > 1 ? <h2 className="mb-2 break-after-avoid text-lg">{section.title}</h2> : null}
            {section.instructions ? (
              <Rich html={section.instructions} className="mb-3 break-inside-avoid break-after-avoid italic" />
            ) : null}
            {section.entries.map((entry, i) => {
              // Where the first begins a page, its heading goes with it.
              const breaks = entry.breaks && i > 0 ? 'break-before-page' : ''
              if (entry.kind === 'source') {
                const looks = looksAt(doc, entry.id, numbers)
                const picture = entry.source.picture ? pictures[entry.source.picture] : undefined
                return (
                  <figure key={entry.id} className={`mb-4 break-inside-avoid border border-black/40 p-3 ${breaks}`}>
                    <figcaption className="font-semibold">{entry.source.title}</figcaption>
                    {picture ? <Pictured src={picture} alt={entry.source.alt} looks={looks.filter(onPicture)} /> : null}
                    {pagesOf(pictures, entry.source.file).map((page, n) => (
                      // As large as leaves room for what stands over it on the first page.
                      <div key={n} className="relative mx-auto mt-2 w-fit">
                        <img src={page} alt={`Page ${n + 1}`} className="max-h-[720px] border border-black/40" />
                        <PlacePins looks={looks.filter((look) => look.at.page === n + 1)} />
                      </div>
                    ))}
                    {entry.source.file && pagesOf(pictures, entry.source.file).length === 0 ? (
                      <p className="italic">To be heard or watched.</p>
                    ) : null}
                    <Rich html={entry.source.html} />
                    <BesideOnPaper source={entry.source} />
                  </figure>
                )
              }
              const item = items[entry.id]
              return item ? (
                <article key={entry.id} className={`mb-5 flex break-inside-avoid gap-3 ${breaks}`}>
                  <b className="w-6 shrink-0 text-right font-head text-lg">{numbers.get(entry.id)}</b>
                  <div className="min-w-0 flex-1">
                    <div className="flex gap-4">
                      <Rich html={item.prompt} className="flex-1" />
                      <span className="text-sm whitespace-nowrap">
                        {short(item.points)} {short(item.points) === '1' ? 'mark' : 'marks'}
                      </span>
                    </div>
                    {entry.looksAt ? (
                      <p className="text-sm italic">
                        {inWords(entry.looksAt, numbers.get(entry.id) ?? 0, titleOf(doc, entry.looksAt.source))}.
                      </p>
                    ) : null}
                    <OnPaper item={item} withKey={withKey} />
                    {item.confidence && !withKey ? (
                      <p className="mt-3 flex gap-5 text-sm">
                        How sure are you?
                        {SURE.map((word) => (
                          <span key={word} className="flex items-center gap-1.5">
                            <span aria-hidden className="inline-block size-3.5 border border-black" /> {word}
                          </span>
                        ))}
                      </p>
                    ) : null}
                  </div>
                </article>
              ) : null
            })}
            <WaysOn paper={doc} section={section} written={written[section.id] ?? []} numbers={numbers} />
          </section>
        ))}
      </main>
    </MediaProvider>
  )
}

/** What a page on screen does and paper cannot, in words. */
function BesideOnPaper({ source }: { source: Schemas['Source'] }) {
  const words = (source.glossary ?? []).filter((g) => g.word.trim() && g.meaning.trim())
  const pieces = (source.pieces ?? []).filter((p) => p.text.trim())
  return (
    <>
      {words.length > 0 ? (
        <dl className="mt-2 text-sm">
          {words.map((g) => (
            <div key={g.word}>
              <dt className="inline font-semibold">{g.word}</dt>: <dd className="inline">{g.meaning}</dd>
            </div>
          ))}
        </dl>
      ) : null}
      {pieces.length > 0 ? (
        <p className="mt-2 text-sm">
          Pieces to cut out and lay on it:{' '}
          {pieces.flatMap((p, i) =>
            Array.from({ length: p.copies }, (_, n) => (
              <span key={`${i}-${n}`} className="mr-2 mb-1 inline-block border border-dashed border-black px-2 py-1">
                {p.text}
              </span>
            )),
          )}
        </p>
      ) : null}
      {source.link ? <p className="mt-2 text-sm break-all">See {source.link}</p> : null}
    </>
  )
}

const short = (text: string) => String(Math.round(rational(text) * 1e4) / 1e4)

const titleOf = (doc: Schemas['Paper'], source: string) =>
  doc.sections
    .flatMap((s) => s.entries)
    .flatMap((e) => (e.id === source && e.kind === 'source' ? [e.source.title] : []))[0] ?? ''

const onPicture = (look: Look) => look.at.page === undefined

/** A picture, no higher than leaves room for its questions; where some look at it, as wide as their marks can be placed by. */
const Pictured = ({ src, alt, looks }: { src: string; alt: string; looks: readonly Look[] }) =>
  looks.length === 0 ? (
    <img src={src} alt={alt} className="mt-2 max-h-80 w-full object-contain" />
  ) : (
    <div className="relative mx-auto mt-2 max-w-[480px]">
      <img src={src} alt={alt} className="w-full" />
      <PlacePins looks={looks} />
    </div>
  )

/** The questions that look at a source. */
const looksAt = (doc: Schemas['Paper'], source: string, numbers: ReadonlyMap<string, number>) =>
  doc.sections
    .flatMap((s) => s.entries)
    .flatMap((e) =>
      e.kind === 'question' && e.looksAt?.source === source
        ? [{ entry: e.id, number: numbers.get(e.id) ?? 0, current: false, at: e.looksAt }]
        : [],
    )

/** The pictures of a PDF's pages, in their order. */
function pagesOf(pictures: Record<string, string>, file: string | undefined): string[] {
  const pages: string[] = []
  for (let n = 1; file && pictures[`${file}/${n}`]; n += 1) pages.push(pictures[`${file}/${n}`]!)
  return pages
}
