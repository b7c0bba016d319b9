/** By what a list is sorted, and whether from the far end. */
export type Sorting = { by: string; down: boolean }

/** `title` or `-title`, as it stands in an address. */
export const sortingOf = (text: string | null, first: Sorting): Sorting =>
  text ? { by: text.replace(/^-/, ''), down: text.startsWith('-') } : first
export const sortingText = ({ by, down }: Sorting) => (down ? `-${by}` : by)

const compare = new Intl.Collator('en-GB', { numeric: true, sensitivity: 'base' })

/** Numbers by size, texts as a dictionary has them, with numbers in them by size. */
export const ordered = (a: string | number, b: string | number) =>
  typeof a === 'number' && typeof b === 'number' ? a - b : compare.compare(String(a), String(b))

/** Whether every word stands somewhere in a text, whatever its case and accents. */
export function holds(text: string, words: string): boolean {
  const plain = (s: string) => s.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
  const there = plain(text)
  return plain(words)
    .split(/\s+/)
    .every((word) => there.includes(word))
}
