/** The text of a file, in the encoding it was written in. */
export async function textOf(file: File): Promise<string> {
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    // Spreadsheets on older machines still write the Windows code page.
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
