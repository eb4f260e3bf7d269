/** The product's mark: the plan of a small house. */
export function Mark() {
  return (
    <svg aria-hidden width="20" height="20" viewBox="0 0 24 24" fill="none" stroke="currentColor">
      <path d="M9 21H3V3h11v6h7v12h-7" strokeWidth="2.2" />
      <path d="M3 12h5M14 9v4" strokeWidth="1.6" />
    </svg>
  );
}
