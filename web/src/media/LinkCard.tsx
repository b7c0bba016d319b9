import { ExternalLink } from 'lucide-react'

/** The way to a page outside: what it is, where it leads, and that it opens beside the paper. Nothing of it is fetched here. */
export function LinkCard({ link, title }: { link: string; title: string }) {
  return (
    <a
      href={link}
      target="_blank"
      rel="noopener noreferrer"
      className="my-2 flex min-h-11 items-center gap-3 rounded border border-edge bg-sheet px-3 py-2 hover:border-ink"
    >
      <ExternalLink aria-hidden className="size-5 shrink-0 text-blue" />
      <span className="min-w-0">
        <span className="block font-semibold text-blue underline">{title || hostOf(link)}</span>
        <span className="block truncate text-[0.8em] text-quiet">{hostOf(link)} · opens in a new tab</span>
      </span>
    </a>
  )
}

function hostOf(link: string): string {
  try {
    return new URL(link).host
  } catch {
    return link
  }
}
