import type { Schemas } from '@/lib/api/client'
import { plainOf } from '../parts/values'

type Sides = { things: readonly Schemas['Thing'][]; places: readonly Schemas['Thing'][] }

const named = (of: readonly Schemas['Thing'][], id: string | undefined) =>
  plainOf(of.find((t) => t.id === id)?.text ?? '?')

/** A pair in words. */
export const nameOf = ({ things, places }: Sides, [thing, place]: readonly string[]) =>
  `${named(things, thing)} – ${named(places, place)}`
