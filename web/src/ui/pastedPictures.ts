/** What a clipboard brings: its text with a place for each picture, and the pictures themselves. */
export type Pasted = { html: string; pictures: { key: string; file: File; alt: string }[] }

const MOST = 12
const MOST_BYTES = 20_000_000
const KINDS: Record<string, string> = { pngblip: 'png', jpegblip: 'jpeg' }

/**
 * The pictures on a clipboard: copied by themselves, written into the markup (`data:`), or, where an office text names files of its own
 * machine, taken from the same text as RTF, which holds them as hexadecimal digits (RTF 1.9.1, "Pictures"). A picture that stands
 * elsewhere on the network is not fetched. Null where there is none, so that the text is pasted as any other.
 */
export function pastedPictures(data: DataTransfer | null, freshKey: () => string): Pasted | null {
  if (!data) return null
  const html = data.getData('text/html')
  const page = new DOMParser().parseFromString(html, 'text/html')
  const marks = [...page.querySelectorAll('img')].slice(0, MOST)
  if ((page.body.textContent ?? '').trim() === '') {
    const files = [...data.files].filter((f) => f.type.startsWith('image/') && f.size <= MOST_BYTES).slice(0, MOST)
    if (files.length > 0) {
      const pictures = files.map((file) => ({ key: freshKey(), file, alt: '' }))
      return { html: pictures.map(({ key }) => `<img data-pasted="${key}" alt="">`).join(''), pictures }
    }
  }
  const local = marks.filter((mark) => /^file:/i.test(mark.getAttribute('src') ?? ''))
  const held = local.length > 0 ? inRtf(data.getData('text/rtf')) : []
  // Told apart by their order alone: where one is missing, none can be placed.
  const placed = held.length === local.length ? held : []
  const pictures: Pasted['pictures'] = []
  for (const mark of page.querySelectorAll('img')) {
    const src = mark.getAttribute('src') ?? ''
    const file = fromData(src) ?? placed[local.indexOf(mark)]
    if (!file || !marks.includes(mark)) {
      mark.remove()
      continue
    }
    const key = freshKey()
    const alt = mark.getAttribute('alt')?.trim() ?? ''
    const place = page.createElement('img')
    place.setAttribute('data-pasted', key)
    place.setAttribute('alt', alt)
    mark.replaceWith(place)
    pictures.push({ key, file, alt })
  }
  return pictures.length > 0 ? { html: page.body.innerHTML, pictures } : null
}

function fromData(src: string): File | undefined {
  const [, kind, base64] = /^data:image\/(png|jpeg|gif|webp);base64,([\w+/=\s]+)$/i.exec(src) ?? []
  if (!kind || !base64 || base64.length > (MOST_BYTES * 4) / 3) return undefined
  try {
    return asFile(
      Uint8Array.from(atob(base64.replace(/\s/g, '')), (c) => c.charCodeAt(0)),
      kind.toLowerCase(),
    )
  } catch {
    return undefined
  }
}

function inRtf(rtf: string): File[] {
  const files: File[] = []
  // From each picture's kind to the first brace that ends its group; groups within it (its properties) come before the kind.
  for (const [, kind, rest] of rtf.matchAll(/\\(pngblip|jpegblip)([^{}]*)\}/g)) {
    const hex = (rest ?? '').replace(/\\[a-z]+-?\d* ?/gi, '').replace(/[^0-9a-f]/gi, '')
    if (hex.length < 16 || hex.length > 2 * MOST_BYTES) continue
    files.push(
      asFile(
        Uint8Array.from(hex.match(/../g) ?? [], (two) => parseInt(two, 16)),
        KINDS[kind ?? ''] ?? 'png',
      ),
    )
  }
  return files
}

const asFile = (bytes: Uint8Array<ArrayBuffer>, kind: string) =>
  new File([bytes], `pasted.${kind}`, { type: `image/${kind}` })
