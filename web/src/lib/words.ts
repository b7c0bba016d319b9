/** What a word of ours, or of statistics, means: one or two sentences, as one teacher would tell another. */
export const WORDS = {
  rung: 'A level with a lower cut. From the bottom: footing, below half of the marks; climbing, up to three quarters; clear, from there. The team may change names and cuts.',
  footing: 'The lowest rung: below 50 % of the marks of the questions that were met.',
  climbing: 'The middle rung: from 50 % to below 75 % of the marks of the questions that were met.',
  clear: 'The top rung: from 75 % of the marks of the questions that were met.',
  facility:
    'The mean share of a question’s marks that students reach, before hints take any off: 1 when all are right, 0 when none is.',
  'item–rest r':
    'How well a question goes with the rest of the paper, from −1 to 1. Near 0, those who do well elsewhere do no better here; below 0, worse.',
  'median time': 'Half answer sooner, half later; from opening the question to the first answer.',
  misconception: 'A named wrong idea that a wrong answer may come from.',
  rival: 'A wrong option that is taken nearly as often as the key, or more often.',
  spread: 'How far marks lie from their mean, typically: the standard deviation (SD).',
  reliability:
    'How far the same students would come in the same order with other questions of this kind: Cronbach’s α, 1 at best.',
  Lookout: 'The live picture of a handout: who has joined, where each is, what has been answered.',
  handout: 'A paper given to classes, groups or students, with its conditions.',
  edition: 'A published state of a paper that no longer changes; students sit an edition.',
  grouping: 'Groups that were formed from results and kept.',
  'two readings': 'Among those who do well, the key and another option are taken by about as many.',
  'to look at': 'What the figures say may be wrong with a question; each has its evidence at the right.',
} as const

export type Word = keyof typeof WORDS
