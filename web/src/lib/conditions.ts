import type { Schemas } from '@/lib/api/client'

/** What students are told of their work, and when. */
export const FEEDBACK_PLANS: { id: Schemas['Conditions']['feedback']; label: string; note: string }[] = [
  { id: 'on return', label: 'All on return', note: 'Marks, feedback and keys when you give the work back.' },
  {
    id: 'at once',
    label: 'Right or wrong at once',
    note: 'Each answer is settled when it is given; keys stay hidden until return.',
  },
  {
    id: 'after hand-in',
    label: 'All after handing in',
    note: 'Keys are out as soon as the first student has handed in.',
  },
  { id: 'nothing', label: 'Nothing', note: 'No marks, feedback or keys, not even on return.' },
]

/** How a paper is given when nothing else is asked for. */
export const PLAIN_CONDITIONS: Schemas['Conditions'] = {
  attempts: 1,
  counts: 'best',
  shuffleQuestions: false,
  shuffleOptions: true,
  feedback: 'on return',
  minutes: null,
}
