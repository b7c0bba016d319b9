import type { Schemas } from '@/lib/api/client'
import { linesOf, placeOf, stretchOf } from './looks'
import { clock } from './words'

type Anchor = Schemas['Anchor']

/** What to do to see where a question looks, in words. */
export function inWords(at: Anchor, number: number, title: string): string {
  const of = title || 'the source'
  const lines = linesOf(at)
  if (lines) return `Look at ${stretch('line', 'lines', lines, String)} of ${of}`
  if (placeOf(at)) return `Look at mark ${number} on ${at.page ? `page ${at.page} of ` : ''}${of}`
  return `Play ${stretch('from', '', stretchOf(at), clock)} of ${of}`
}

const stretch = (one: string, several: string, [from, to]: readonly [number, number], say: (n: number) => string) =>
  from === to ? `${one} ${say(from)}` : `${several} ${say(from)} to ${say(to)}`.trim()
