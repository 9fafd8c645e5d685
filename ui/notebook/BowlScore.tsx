/** A tasting as five small bowls, as many filled as the cake was good. */
export function BowlScore({ score }: { score: number | null }) {
  const words = score === null ? 'not tasted' : `${score} of 5`;
  return (
    <svg viewBox="0 0 90 18" width="75" height="15" role="img" aria-label={words}>
      {Array.from({ length: 5 }, (_, i) => (
        <path
          key={i}
          d={`M${2 + i * 18},5h14a7 7 0 0 1 -14,0z`}
          fill={score !== null && i < score ? 'var(--good)' : 'none'}
          stroke="var(--soft)"
          strokeWidth="1.2"
        />
      ))}
    </svg>
  );
}
