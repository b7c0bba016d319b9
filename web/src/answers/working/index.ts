import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { byRubric, namesOf, startRubric } from '../parts/rubric'

export const working: Kind<'working'> = {
  name: 'drawing',
  answer: 'drawn, or a photo of paper',
  blank: () => ({ criteria: startRubric('Drawing'), ground: 'blank', picture: null, photo: true }),
  face: (rule) => ({ criteria: namesOf(rule), ground: rule.ground, picture: rule.picture, photo: rule.photo }),
  ...byRubric,
  drawn: true,
  small: true,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('./Given')),
  Paper: part(() => import('./Paper')),
}
