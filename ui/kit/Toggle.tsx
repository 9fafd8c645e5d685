import look from './rows.module.css';

/** One of a few that are all seen. */
export function Toggle<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly words: string }[];
  onChange: (v: T) => void;
}) {
  return (
    <span className={look.toggle} role="group" aria-label={label}>
      {options.map((o) => (
        <button key={o.value} type="button" aria-pressed={o.value === value} onClick={() => onChange(o.value)}>
          {o.words}
        </button>
      ))}
    </span>
  );
}
