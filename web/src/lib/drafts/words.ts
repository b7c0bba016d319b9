import type { Clash } from './merge'

const PARTS: Record<string, string> = {
  title: 'title',
  prompt: 'question',
  points: 'marks',
  hint: 'hint',
  explanation: 'explanation',
  skill: 'skill',
  rule: 'answer rule',
  options: 'options',
  text: 'text',
  key: 'key',
  feedback: 'feedback',
  misconception: 'misconception',
  value: 'value',
  unit: 'unit',
  route: 'where it leads',
  mastery: 'mastery rule',
  checks: 'checks',
  variables: 'variables',
  confidence: 'how sure',
  sections: 'sections',
  entries: 'parts',
}
const LONGEST = 240

const plain = (html: string) =>
  html
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()

const inWords = (value: unknown): string => {
  if (value === undefined) return 'taken out'
  if (value === null || value === '') return 'nothing'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'string') return plain(value).slice(0, LONGEST) || 'nothing'
  if (typeof value === 'number') return String(value)
  if (Array.isArray(value)) return value.map(inWords).join(' · ').slice(0, LONGEST) || 'none'
  const { title, text, prompt, name } = value as Record<string, unknown>
  const known = [title, text, prompt, name].find((one) => typeof one === 'string' && one !== '')
  return known === undefined ? Object.values(value).map(inWords).join(', ').slice(0, LONGEST) : inWords(known)
}

/** What clashes and how, for somebody who has to choose: the part by its name, within what it stands in. */
export function tellClash({ path, mine, theirs }: Clash, document: unknown) {
  let within = ''
  let at: unknown = document
  for (const step of path) {
    at = Array.isArray(at)
      ? at.find((one: { id?: unknown }) => one.id === step)
      : (at as Record<string, unknown> | undefined)?.[step]
    const own = at as { title?: unknown; text?: unknown } | undefined
    const name = own && typeof own === 'object' && !Array.isArray(own) ? (own.title ?? own.text) : undefined
    if (typeof name === 'string' && name !== '') within = plain(name).slice(0, 60)
  }
  const part = PARTS[path.at(-1) ?? ''] ?? 'part'
  return { what: within === '' ? part : `${part} of “${within}”`, mine: inWords(mine), theirs: inWords(theirs) }
}
