/** As many parts as a sound or film is counted in, at most (core: Sitting/Played). */
const MOST_PARTS = 120
const MOST_TIMES = 999

/** Seconds that a part of something so long lasts, and how many parts there are. */
export const partsOf = (millis: number) => {
  const seconds = Math.max(1, Math.ceil(millis / (1000 * MOST_PARTS)))
  return { seconds, parts: Math.ceil(millis / (1000 * seconds)) }
}

export type Counted = { millis: number; times: number[] }

/** What has been played, once more counted with a stretch: a part was played when the playing passed its middle. */
export function withStretch({ millis, times }: Counted, from: number, to: number): Counted {
  const { seconds } = partsOf(millis)
  return {
    millis,
    times: times.map((once, i) => {
      const middle = (i * seconds + Math.min((i + 1) * seconds, millis / 1000)) / 2
      return from < middle && middle <= to ? Math.min(MOST_TIMES, once + 1) : once
    }),
  }
}

/** Nothing played yet of something so long. */
export const unplayed = (millis: number): Counted => ({ millis, times: Array<number>(partsOf(millis).parts).fill(0) })

/** Where the last part ends that was played, in seconds. */
export function playedUntil({ millis, times }: Counted): number {
  const last = times.findLastIndex((once) => once > 0)
  return Math.min(millis / 1000, (last + 1) * partsOf(millis).seconds)
}
