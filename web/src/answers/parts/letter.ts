/** A, B, C … by the written order. */
export const letter = (place: number) => String.fromCharCode(65 + place)
