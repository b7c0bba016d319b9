import { createContext, useContext } from 'react'
import type { Schemas } from '@/lib/api/client'

export type FileAbout = Schemas['MediaFileView']

/** Where files come from and go to: a student's sitting, a teacher's desk, a printed page, a preview that keeps nothing. */
export type MediaPlace = {
  /** Where a file is fetched, or the picture of one page of a PDF. */
  urlOf: (id: string, page?: number) => string
  about: (ids: string[]) => Promise<FileAbout[]>
  /** Where uploads are announced; null: files stay in this page alone. */
  uploads: string | null
  /** What belongs together on this device, such as one question of a sitting. */
  scope: string
}

const pathOf = (files: string) => (id: string, page?: number) =>
  page === undefined ? `${files}/${id}` : `${files}/${id}/pages/${page}`

async function aboutFrom(files: string, ids: string[]): Promise<FileAbout[]> {
  const response = await fetch(`${files}?ids=${ids.join(',')}`)
  if (!response.ok) throw new Error('What these files are could not be asked for.')
  return ((await response.json()) as Schemas['MediaFilesView']).files
}

/** Files as the server hands them to staff or to students. */
export const placeOf = (files: '/api/files' | '/api/me/files', uploads: string | null, scope: string): MediaPlace => ({
  urlOf: pathOf(files),
  about: (ids) => aboutFrom(files, ids),
  uploads,
  scope,
})

const STAFF = placeOf('/api/files', '/api/uploads', 'desk')

const Place = createContext<MediaPlace>(STAFF)
export const MediaProvider = Place.Provider
export const useMedia = () => useContext(Place)

/** A page that is printed holds its pictures. */
export const printedPlace = (pictures: Record<string, string>): MediaPlace => ({
  urlOf: (id) => pictures[id] ?? '',
  about: async () => [],
  uploads: null,
  scope: 'print',
})
