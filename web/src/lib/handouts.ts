import { useQuery } from '@tanstack/react-query'
import type { Schemas } from './api/client'
import { ask } from './queries'
import { moment, plural } from './format'

export type Handout = Schemas['HandoutHandoutView']

/** What was handed out, the latest first; asked for again while it is looked at. */
export const useHandouts = () =>
  useQuery({
    ...ask.handouts(),
    refetchInterval: 15_000,
  })

export const toWhom = (h: Handout) =>
  h.group
    ? `group “${h.group}”`
    : h.follows
      ? `${plural(h.expected, 'student')} after “${h.follows}”`
      : h.classes.length > 0
        ? h.classes.join(', ')
        : plural(h.expected, 'student')

/** How it stands, with the moment that matters next. */
export const standing = (h: Handout) =>
  h.status === 'open' && h.closesAt
    ? `open until ${moment(h.closesAt)}`
    : h.status === 'scheduled' && h.opensAt
      ? `opens ${moment(h.opensAt)}`
      : h.status

/** Handed in and not yet given back. */
export const toReturn = (h: Handout) => h.handedIn - h.returned

/** Whose turn it is now that work is in: the marker's, the one's who returns, nobody's. */
export const turn = (h: Handout) =>
  h.waiting > 0
    ? `${h.waiting} wait for marking`
    : toReturn(h) > 0
      ? `${toReturn(h)} to return`
      : h.handedIn > 0
        ? 'returned'
        : ''
