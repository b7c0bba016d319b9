import type { Schemas } from '@/lib/api/client'

/** Things as they stand on paper and in a preview, where no sitting mixes them: by their words, which tells no order. */
export const mixed = (things: readonly Schemas['Thing'][]) => [...things].sort((a, b) => a.text.localeCompare(b.text))
