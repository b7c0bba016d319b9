import type { Kind } from '../kinds'
import { part } from '../parts/part'
import { byRubric, namesOf, startRubric } from '../parts/rubric'

export const upload: Kind<'upload'> = {
  name: 'upload',
  answer: 'a file of one’s own',
  blank: () => ({ criteria: startRubric('Work'), kinds: ['picture', 'pdf'], most: 3, megabytes: 20 }),
  face: (rule) => ({ criteria: namesOf(rule), kinds: rule.kinds, most: rule.most, megabytes: rule.megabytes }),
  ...byRubric,
  drawn: true,
  Editor: part(() => import('./Editor')),
  Input: part(() => import('./Input')),
  Given: part(() => import('../parts/FilesAnswer')),
  Paper: part(() => import('./Paper')),
}
