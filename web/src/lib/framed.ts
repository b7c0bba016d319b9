const found = /^\/framed\/([0-9a-f-]{36})(?=\/|$)/.exec(location.pathname)

/** Where the students' page stands within a page of others, every address of it begins with this; by itself with nothing. */
export const FRAME = found?.[0] ?? ''
/** The piece of work that the page of others shows. */
export const FRAMED_WORK = found?.[1] ?? null

/** The code by which a page of others shows a piece of work; camera, microphone and full screen are its to lend. */
export function codeToFrame(origin: string, handout: { id: string; title: string }): string {
  const frame = document.createElement('iframe')
  const code = {
    src: `${origin}/framed/${handout.id}`,
    title: handout.title,
    width: '100%',
    height: '720',
    allow: 'camera; microphone; fullscreen',
    style: 'border: 0',
  }
  for (const [name, value] of Object.entries(code)) frame.setAttribute(name, value)
  return frame.outerHTML
}
