import { kindOf } from '@/answers/registry'
import type { Item } from '@/answers/kinds'
import { plainOf } from '@/answers/parts/values'
import { inMarks } from '@/lib/format'
import { hintsOf } from '@/lib/hints'
import { saidHtml } from '@/lib/said'
import { domainInWords } from './domains'
import { isTable } from './tables'

export type Piece = { text: string; changed: boolean }
export type Difference = { part: string; then: Piece[]; now: Piece[] }

/** Longer texts are shown as changed on the whole: finding the words in them would take too long. */
const MOST_WORDS = 600
const WORD = /\S+\s*|\s+/g

/** Where two versions of a question differ, part by part, with the words that do. */
export function differences(then: Item, now: Item, named: (id: string | null) => string): Difference[] {
  const [before, after] = [partsOf(then, named), partsOf(now, named)]
  return Object.keys(before).flatMap((part) => {
    const [a, b] = [before[part] ?? '', after[part] ?? '']
    return a === b ? [] : [{ part, ...wordsApart(a, b) }]
  })
}

/** What a question says, in words. */
function partsOf(item: Item, named: (id: string | null) => string): Record<string, string> {
  const kind = kindOf(item.type)
  const shows = (id: string | null | undefined) => (id ? ` # ${named(id)}` : '')
  const told = (words: string) => (words === '' ? '' : ` ! ${plainOf(saidHtml(words))}`)
  return {
    Title: item.title,
    Question: plainOf(item.prompt),
    Marks: inMarks(item.points),
    Skill: item.skill ? named(item.skill) : '',
    Answers: [
      ...kind.keyLines(item.rule).map((line) => {
        const text = line.rich ? plainOf(line.text) : line.text
        const earns = line.isKey ? 'key' : line.credit === '0' ? '' : `credit ${line.credit}`
        return `${line.mark} ${text}${earns ? ` (${earns})` : ''}${told(line.feedback)}${shows(line.misconception)}`
      }),
      ...kind
        .criteria(item.rule)
        .flatMap((c) => [c.name, ...c.levels.map((l) => `${l.points}: ${l.descriptor}${shows(l.misconception)}`)]),
    ].join('\n'),
    Checks: (item.checks ?? [])
      .map((c) => `when ${c.when} then ${c.credit}${told(c.feedback)}${shows(c.misconception)}`)
      .join('\n'),
    'Own numbers': [
      ...(item.variables ?? []).map((v) =>
        isTable(v)
          ? `${v.name}(${v.columns.join(', ')}) = ${v.rows.map((r) => r.join(', ')).join('; ')}`
          : `${v.name}: ${domainInWords(v)}`,
      ),
      ...(item.constraints ?? []).map((c) => `where ${c}`),
    ].join('\n'),
    Hints: hintsOf(item)
      .map((h) => plainOf(h.text) + (h.cost === '0' ? '' : ` (costs ${h.cost})`))
      .join('\n'),
    'Worked explanation': plainOf(item.explanation),
    'Page to go back to': item.goBack ? `${item.goBack.title}: ${plainOf(item.goBack.text)}` : '',
    'How sure': item.confidence ? 'asked' : '',
    Working: item.working ? 'asked' : '',
    // What no line of words tells, such as a picture, a tolerance or what counts as the same.
    'The answer rule otherwise': JSON.stringify(item.rule),
  }
}

/** Both texts in pieces, those that stand in one of them alone marked (longest common subsequence of words). */
export function wordsApart(then: string, now: string): { then: Piece[]; now: Piece[] } {
  // Each word with the space behind it; spaces alone make no difference.
  const [a, b] = [then.match(WORD) ?? [], now.match(WORD) ?? []]
  const same = (i: number, j: number) => a[i]!.trim() === b[j]!.trim()
  if (a.length > MOST_WORDS || b.length > MOST_WORDS)
    return { then: [{ text: then, changed: true }], now: [{ text: now, changed: true }] }
  const length = Array.from({ length: a.length + 1 }, () => new Uint16Array(b.length + 1))
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--)
      length[i]![j] = same(i, j) ? length[i + 1]![j + 1]! + 1 : Math.max(length[i + 1]![j]!, length[i]![j + 1]!)
  const pieces = { then: [] as Piece[], now: [] as Piece[] }
  const put = (side: Piece[], text: string, changed: boolean) => {
    const last = side.at(-1)
    if (last?.changed === changed) last.text += text
    else if (text !== '') side.push({ text, changed })
  }
  let [i, j] = [0, 0]
  while (i < a.length || j < b.length) {
    if (i < a.length && j < b.length && same(i, j)) {
      put(pieces.then, a[i++]!, false)
      put(pieces.now, b[j++]!, false)
    } else if (j >= b.length || (i < a.length && length[i + 1]![j]! >= length[i]![j + 1]!))
      put(pieces.then, a[i++]!, true)
    else put(pieces.now, b[j++]!, true)
  }
  return pieces
}
