/** A size as people say it. */
export const sizeOf = (bytes: number) =>
  bytes < 1_000_000
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1_000_000).toFixed(bytes < 10_000_000 ? 1 : 0)} MB`

export const KINDS = {
  picture: { words: 'pictures', accept: 'image/png,image/jpeg,image/gif,image/webp,image/svg+xml' },
  pdf: { words: 'PDF', accept: 'application/pdf' },
  sound: { words: 'sound', accept: 'audio/*' },
  film: { words: 'film', accept: 'video/mp4,video/webm' },
  document: { words: 'documents', accept: '.docx,.xlsx,.pptx,.odt,.ods,.odp' },
} as const
export type FileKind = keyof typeof KINDS

/** Minutes and seconds. */
export const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`

/** "pictures, PDF or sound" */
export const kindsInWords = (kinds: readonly FileKind[]) =>
  kinds
    .map((kind) => KINDS[kind].words)
    .join(', ')
    .replace(/, ([^,]*)$/, ' or $1')

/** What kind a file says it is; nothing where it says nothing that can be told from outside. The server reads what is in it. */
export const kindSaid = (type: string): FileKind | null =>
  type.startsWith('image/')
    ? 'picture'
    : type.startsWith('audio/')
      ? 'sound'
      : type.startsWith('video/')
        ? 'film'
        : type === 'application/pdf'
          ? 'pdf'
          : type === '' || type === 'application/octet-stream'
            ? null
            : 'document'

/** Whether a file may be one of these, by what it says it is; whether a .webm or .mp4 is sound or film only its content tells. */
export function mayBe(type: string, kinds: readonly FileKind[]): boolean {
  const said = kindSaid(type)
  return said === null || kinds.includes(said) || (said === 'film' && kinds.includes('sound'))
}
