/** What is in view, on paper. */
export function PrintButton({ className = 'quiet' }: { className?: string }) {
  return (
    <button type="button" className={className} onClick={() => print()}>
      Print
    </button>
  )
}
