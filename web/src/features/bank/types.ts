import type { Schemas } from '@/lib/api/client'

export type Item = Schemas['Item']
export type ItemType = Item['type']

export const TYPES: { id: ItemType; name: string }[] = [
  { id: 'choice', name: 'choice' },
  { id: 'text', name: 'text' },
  { id: 'number', name: 'number' },
  { id: 'open', name: 'open' },
]
export const typeName = (id: string) => TYPES.find((t) => t.id === id)?.name ?? id

const shared = { version: 1, title: '', prompt: '', points: '1', skill: null, hint: '', explanation: '' } as const

/** A new question of a type, with the fewest lines that make sense. No key is preset: its writer names it. */
export function blankItem(type: ItemType): Item {
  switch (type) {
    case 'choice':
      return {
        ...shared,
        type,
        rule: {
          options: ['a', 'b', 'c', 'd'].map((id) => ({ id, text: '', key: false, feedback: '', misconception: null })),
          several: false,
          perOption: false,
          keepLast: false,
        },
      }
    case 'text':
      return {
        ...shared,
        type,
        rule: {
          forms: [{ text: '', credit: '1', feedback: '', misconception: null }],
          folding: { case: true, accents: false, punctuation: true, articles: false },
          allowSlips: false,
        },
      }
    case 'number':
      return {
        ...shared,
        type,
        rule: {
          targets: [{ value: '', tolerance: '0', kind: 'absolute', credit: '1', feedback: '', misconception: null }],
          unit: '',
          unitUse: 'none',
        },
      }
    case 'open':
      return {
        ...shared,
        type,
        rule: {
          criteria: [
            {
              name: 'Content',
              levels: [
                { points: '0', descriptor: 'Nothing of it', misconception: null },
                { points: '1', descriptor: 'Part of it', misconception: null },
                { points: '2', descriptor: 'All of it', misconception: null },
              ],
            },
          ],
        },
      }
  }
}

/** An option id that no option has yet. */
export function freshOptionId(used: string[]): string {
  for (let i = 0; ; i++) {
    const id = i < 26 ? String.fromCharCode(97 + i) : `o${i}`
    if (!used.includes(id)) return id
  }
}
