import { asHtml } from '@/lib/said'
import type { ReactNode } from 'react'
import type { Schemas } from '@/lib/api/client'
import { RichEditor } from '@/ui/RichEditor'
import { Line, listedFrom, moved, NextLine, replaced, without } from './Lines'

type Thing = Schemas['Thing']

/** An id that none of the others has. */
export function freshId(used: readonly string[], first: string): string {
  for (let i = 1; ; i++) if (!used.includes(`${first}${i}`)) return `${first}${i}`
}

const added = (things: readonly Thing[], lines: readonly string[], first: string): Thing[] =>
  lines.reduce<Thing[]>(
    (all, line) => [
      ...all,
      {
        id: freshId(
          all.map((t) => t.id),
          first,
        ),
        text: asHtml(line),
      },
    ],
    [...things],
  )

/** A list of things, written in place: the next one is typed below, a pasted list becomes as many. */
export function Things({
  what,
  things,
  onChange,
  onRemove,
  placeholder,
  first,
  most,
  mark,
  beside,
}: {
  /** what one of them is called: "step", "place" */
  what: string
  things: Thing[]
  onChange: (things: Thing[]) => void
  /** where more goes with a thing than itself */
  onRemove?: (id: string) => void
  placeholder: string
  /** what new ids begin with */
  first: string
  most: number
  mark: (place: number) => ReactNode
  beside?: (thing: Thing, place: number) => ReactNode
}) {
  const more = (now: readonly Thing[], lines: readonly string[]) =>
    added(now, lines.slice(0, Math.max(0, most - now.length)), first)
  return (
    <div>
      {things.map((thing, i) => (
        <Line
          key={thing.id}
          what={`${what} ${i + 1}`}
          mark={mark(i)}
          onUp={i > 0 ? () => onChange(moved(things, i, -1)) : undefined}
          onRemove={() => (onRemove ? onRemove(thing.id) : onChange(without(things, i)))}
        >
          <div className="flex flex-wrap items-start gap-x-3">
            <div className="min-w-40 flex-1 font-semibold">
              <RichEditor
                small
                hideLabel
                inPlace
                label={`Text of ${what} ${i + 1}`}
                placeholder={placeholder}
                value={thing.text}
                onChange={(text) => onChange(replaced(things, i, { ...thing, text }))}
                onPastedIntoEmpty={(words) => {
                  const list = listedFrom(things, i, words, more)
                  if (list) onChange(list.lines)
                  return list?.stays ?? null
                }}
              />
            </div>
            {beside?.(thing, i)}
          </div>
        </Line>
      ))}
      {things.length < most ? (
        <NextLine
          label={`Next ${what}`}
          placeholder={`Type the next ${what}, or paste a list`}
          mark={mark(things.length)}
          onLines={(lines) => onChange(more(things, lines))}
        />
      ) : null}
    </div>
  )
}
