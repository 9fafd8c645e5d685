import { useOnDevice } from '../kit/useOnDevice';
import over from '../kit/overSelect.module.css';
import look from './stage.module.css';

/** A part of a drawing that is pressed to change it: the device's own list opens over it. Place and size in per cent of the drawing. */
export function PickOver<T extends string>({
  label,
  value,
  options,
  onChange,
  at: [left, top, width, height],
}: {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly words: string }[];
  onChange: (v: T) => void;
  at: readonly [number, number, number, number];
}) {
  const awake = useOnDevice();
  if (options.length < 2 || !awake) return null;
  return (
    <label
      className={look.over}
      title={label}
      style={{ left: `${left}%`, top: `${top}%`, width: `${width}%`, height: `${height}%` }}
    >
      <select className={over.select} aria-label={label} value={value} onChange={(e) => onChange(e.target.value as T)}>
        {options.some((o) => o.value === value) ? null : <option value={value}>as it is</option>}
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.words}
          </option>
        ))}
      </select>
    </label>
  );
}
