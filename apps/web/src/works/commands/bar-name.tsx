/** A button's name in the bar: told always, seen where there is room for it. The bar keeps one row, so that the map stays still. */
export function BarName({ children, first = false }: { children: string; first?: boolean }) {
  return (
    <span
      className={
        first ? '@max-xl:sr-only pointer-coarse:@max-3xl:sr-only' : '@max-4xl:sr-only pointer-coarse:@max-5xl:sr-only'
      }
    >
      {children}
    </span>
  );
}
