/** The address of a page as people type it, with its scheme or without, or null where it is none (core: Paper/Link). */
export function addressOf(typed: string): string | null {
  const text = typed.trim()
  try {
    const url = new URL(/^[a-z]+:/i.test(text) ? text : `https://${text}`)
    const named = /^https?:$/.test(url.protocol) && url.hostname.includes('.') && url.username === ''
    return named && url.href.length <= 500 ? url.href : null
  } catch {
    return null
  }
}

export const NO_ADDRESS = 'This is no address of a page, such as tides.example/tables.'
