import { createContext, useContext, type ReactNode } from 'react'
import { api, take, type Schemas } from '@/lib/api/client'
import { PictureUrl } from '@/lib/pictures'

export type FileAbout = Schemas['MediaFileView']

/** Where files come from and go to: a student's sitting, a teacher's desk, a printed page, a preview that keeps nothing. */
export type MediaPlace = {
  /** Where a file is fetched, or the picture of one page of a PDF. */
  urlOf: (id: string, page?: number) => string
  about: (ids: string[]) => Promise<FileAbout[]>
  /** Where uploads are announced; null: files stay in this page alone. */
  uploads: string | null
  /** What belongs together on this device, such as one question of a sitting, and goes on there after a reload; null: nothing. */
  scope: string | null
  /** What is played here is a student's: of which sitting; null: it is tried and counted nowhere. */
  plays?: string | null
  /** words that a source tells stand told beside it */
  wordNotes?: boolean
}

const pathOf = (files: string) => (id: string, page?: number) =>
  page === undefined ? `${files}/${id}` : `${files}/${id}/pages/${page}`

/** Files as the server hands them to staff or to students. */
export const placeOf = (
  files: '/api/files' | '/api/me/files',
  uploads: string | null,
  scope: string | null,
): MediaPlace => ({
  urlOf: pathOf(files),
  about: async (ids) => (await take(api.GET(files, { params: { query: { ids: ids.join(',') } } }))).files,
  uploads,
  scope,
})

const STAFF = placeOf('/api/files', '/api/uploads', null)

const Place = createContext<MediaPlace>(STAFF)
export function MediaProvider({ value, children }: { value: MediaPlace; children: ReactNode }) {
  return (
    <Place.Provider value={value}>
      <PictureUrl.Provider value={value.urlOf}>{children}</PictureUrl.Provider>
    </Place.Provider>
  )
}
export const useMedia = () => useContext(Place)

/** A page that is printed holds its pictures. */
export const printedPlace = (pictures: Record<string, string>): MediaPlace => ({
  urlOf: (id) => pictures[id] ?? '',
  about: async () => [],
  uploads: null,
  scope: null,
})
