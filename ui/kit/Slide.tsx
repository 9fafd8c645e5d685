import look from './rows.module.css';

/** A figure between two others, with the figure beside it. */
export const Slide = ({
  label,
  value,
  min,
  max,
  step,
  disabled = false,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  disabled?: boolean;
  onChange: (value: number) => void;
}) => (
  <span className={look.slide}>
    <input
      type="range"
      aria-label={label}
      min={min}
      max={max}
      step={step}
      disabled={disabled}
      value={value}
      onChange={(e) => onChange(Number(e.target.value))}
    />
    <output>{value.toFixed(1)}</output>
  </span>
);
