import type { FileAbout } from './place'
import { kindSaid } from './words'

/** Files that stay in this page: of previews and tries, which keep nothing. Named so that no server takes them for its own. */
const LOCAL = 'local-'
const files = new Map<string, { about: FileAbout; url: string }>()

export function keepLocal(blob: Blob, name: string): FileAbout {
  const about = {
    id: `${LOCAL}${files.size + 1}`,
    mediaType: blob.type,
    kind: kindSaid(blob.type) ?? 'document',
    name,
    size: blob.size,
    width: null,
    height: null,
    pages: 0,
  }
  files.set(about.id, { about, url: URL.createObjectURL(blob) })
  return about
}

export const localOf = (id: string) => files.get(id)
