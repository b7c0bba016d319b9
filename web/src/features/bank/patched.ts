import type { Item } from '@/answers/kinds'

/** A question with some of its members changed; what becomes undefined is said no more. */
export const patched = (item: Item, part: Partial<Item>) =>
  Object.fromEntries(Object.entries({ ...item, ...part }).filter(([, value]) => value !== undefined)) as unknown as Item
