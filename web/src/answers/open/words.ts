/** Words as a marker counts them: runs of letters and figures. */
const wordsIn = (text: string) => text.match(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu)?.length ?? 0

/** What is asked for, and how much of it there is; null where nothing is asked. */
export function boundInWords(text: string, least: number | null, most: number | null): string | null {
  if (least === null && most === null) return null
  const n = wordsIn(text)
  const have = `${n} ${n === 1 ? 'word' : 'words'}`
  if (most !== null && n > most) return `${have}; at most ${most} are asked for`
  if (least !== null && n < least) return `${have}; at least ${least} are asked for`
  return have
}
