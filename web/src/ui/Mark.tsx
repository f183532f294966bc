/** Mark is the small ladle. */
export function Mark() {
  return (
    <svg viewBox="0 0 32 32" className="size-8" aria-hidden="true">
      <path d="M3 15h17a8.5 8.5 0 0 1-17 0z" className="fill-rim" />
      <path d="M4.5 15h14" strokeWidth="3" strokeLinecap="round" className="stroke-turmeric" />
      <path d="M19.5 15c3-1 3-10 8-11" fill="none" strokeWidth="3" strokeLinecap="round" className="stroke-rim" />
    </svg>
  )
}
