/** What a line in a chart means: a piece of it, and a word. */
export function LineKey({ colour, dash, word }: { colour: string; dash?: string; word: string }) {
  return (
    <span className="inline-flex items-center gap-1.5">
      <svg width="22" height="6" aria-hidden>
        <path d="M0 3H22" stroke={colour} strokeWidth="2" strokeDasharray={dash} />
      </svg>
      {word}
    </span>
  );
}
