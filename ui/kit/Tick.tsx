import look from './rows.module.css';

/** Yes or no. Where `words` are left out, its label is only read out. */
export const Tick = ({
  label,
  words = label,
  checked,
  onChange,
}: {
  label: string;
  words?: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
}) => (
  <label className={look.tick}>
    <input type="checkbox" aria-label={label} checked={checked} onChange={(e) => onChange(e.target.checked)} />
    {words}
  </label>
);
