import type { ReactNode } from 'react'
import { OnPaper } from '@/answers/OnPaper'
import { isByHand } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'
import { inMarks } from '@/lib/format'

type Item = Schemas['ExchangePrintView']['items'][string]

/** Where a paper is answered, without its questions: a place for each, and a frame that can be photographed for what a person marks. */
export function PrintSheet({ questions }: { questions: readonly { id: string; number: number; item: Item }[] }) {
  return (
    <>
      <p className="mb-3 text-sm">
        Answers with a frame may be handed in as a photo: one frame to a picture, with all four corners in it.
      </p>
      {questions.map(({ id, number, item }) => (
        <article key={id} className="mb-3 flex break-inside-avoid gap-3">
          <b className="w-6 shrink-0 text-right font-head text-lg">{number}</b>
          <div className="min-w-0 flex-1">
            {isByHand(item.type) ? (
              <PhotoFrame number={number}>
                <OnPaper item={item} withKey={false} brief />
              </PhotoFrame>
            ) : (
              <OnPaper item={item} withKey={false} brief />
            )}
          </div>
          <span className="w-16 shrink-0 text-right text-sm whitespace-nowrap">{inMarks(item.points)}</span>
        </article>
      ))}
    </>
  )
}

/** Four corners and a number, so that a photo shows which answer it is and whether all of it is there. */
function PhotoFrame({ number, children }: { number: number; children: ReactNode }) {
  const corner = 'absolute size-5 border-black'
  return (
    <div role="group" aria-label={`Frame for ${number}`} className="relative min-h-36 p-4 pb-6">
      <span className={`${corner} top-0 left-0 border-t-4 border-l-4`} />
      <span className={`${corner} top-0 right-0 border-t-4 border-r-4`} />
      <span className={`${corner} bottom-0 left-0 border-b-4 border-l-4`} />
      <span className={`${corner} right-0 bottom-0 border-r-4 border-b-4`} />
      <span className="absolute bottom-0 left-1/2 -translate-x-1/2 text-sm font-bold">{number}</span>
      {children}
    </div>
  )
}
