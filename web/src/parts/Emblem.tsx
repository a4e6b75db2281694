/** Formulon's own emblem: a clipped ticket. */
export function Emblem({ size = 30 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden="true">
      <path d="M3 6h26v8a3 3 0 0 0 0 6v6H3v-6a3 3 0 0 0 0-6z" fill="#1F2022" />
      <path d="M10 12h12M10 16h8M10 20h10" stroke="#FBFBFA" strokeWidth="2" />
    </svg>
  );
}
