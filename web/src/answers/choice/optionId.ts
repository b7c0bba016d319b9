/** An option id that no option has yet. */
export function freshOptionId(used: string[]): string {
  for (let i = 0; ; i++) {
    const id = i < 26 ? String.fromCharCode(97 + i) : `o${i}`
    if (!used.includes(id)) return id
  }
}
