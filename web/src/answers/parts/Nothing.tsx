/** Where an answer would stand. */
export const Nothing = () => <span className="text-quiet">none</span>
