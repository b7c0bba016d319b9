import type { Step } from './store'

/** What stands in a part, page by page: a new one begins where the paper says so. */
export function pagesOf(here: readonly Step[]): Step[][] {
  const pages: Step[][] = []
  for (const step of here) {
    if (step.begins || pages.length === 0) pages.push([step])
    else pages.at(-1)?.push(step)
  }
  return pages
}

/** Those after one another that are read with the same sources; what is read with none stands alone with its like. */
export function groupsOf(page: readonly Step[]): Step[][] {
  const groups: Step[][] = []
  for (const step of page) {
    const last = groups.at(-1)
    if (last && last[0]?.beside.join() === step.beside.join()) last.push(step)
    else groups.push([step])
  }
  return groups
}
