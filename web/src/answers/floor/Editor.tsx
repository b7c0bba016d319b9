/** There is no key: what is said is not scored. */
export default function Editor() {
  return (
    <p className="text-[15px] text-quiet">
      Nothing is scored here. What students write stands in the Lookout and in marking; it earns no marks, and results
      leave it out. Set its marks to 0.
    </p>
  )
}
