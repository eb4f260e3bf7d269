/** The product's mark: the plan of a small house. */
export function Mark() {
  return (
    <svg aria-hidden width="20" height="20" viewBox="0 0 24 24" fill="none" stroke="currentColor">
      <path d="M3 3h10v6h8v12H9v-6H3z" strokeWidth="2.2" />
      <path d="M9 15V9h4" strokeWidth="1.6" />
    </svg>
  );
}
