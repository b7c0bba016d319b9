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
