import { useId, type ReactNode } from 'react';
import look from './field.module.css';

/** Where a figure comes from: typed in by the cook, computed, measured with a tool, learned from batches. */
export type Source = 'entered' | 'computed' | 'measured' | 'learned';
/** Alone with its label over it, in a row that names it already, or said in a sentence. */
export type FieldLook = 'field' | 'bare' | 'said';
export type FieldWidth = number | string | { readonly xs: number; readonly sm: number };

const LOOKS: Readonly<Record<FieldLook, string | undefined>> = {
  field: look.field,
  bare: `${look.field} ${look.bare}`,
  said: look.said,
};
const SOURCES: Readonly<Record<Source, string | undefined>> = {
  entered: '',
  computed: look.computed,
  measured: look.measured,
  learned: look.learned,
};
/** What a reader hears of where it comes from; what is typed goes without saying. */
export const SOURCE_SAID: Readonly<Record<Source, string | undefined>> = {
  entered: '',
  computed: 'computed',
  measured: 'measured',
  learned: 'learned',
};
const widthOf = (w: FieldWidth | undefined): string | undefined =>
  w === undefined
    ? undefined
    : typeof w === 'number'
      ? `${w}px`
      : typeof w === 'string'
        ? w
        : `clamp(${w.xs}px, 12vw, ${w.sm}px)`;

/** The frame of everything that is typed or chosen: label, value with its line, and what is to say about it. */
export function Field({
  label,
  as = 'field',
  source = 'entered',
  kind,
  width,
  wrong,
  help,
  children,
}: {
  readonly label?: string | undefined;
  readonly as?: FieldLook | undefined;
  readonly source?: Source | undefined;
  readonly kind: 'number' | 'words' | 'pick';
  readonly width?: FieldWidth | undefined;
  readonly wrong?: boolean;
  readonly help?: ReactNode;
  /** Draws what is typed in; told the id of what is said about it. */
  readonly children: (helpId: string | undefined) => ReactNode;
}) {
  const id = useId();
  const helpId = help ? id : undefined;
  const kinds = { number: look.number, words: '', pick: look.pick };
  return (
    <span className={LOOKS[as]} style={as === 'said' ? undefined : { width: widthOf(width), flexShrink: 0 }}>
      {as === 'field' && label ? (
        <span className={look.label} aria-hidden>
          {label}
        </span>
      ) : null}
      <label className={`${look.value} ${kinds[kind]} ${SOURCES[source]}`} data-wrong={wrong ? '' : undefined}>
        {children(helpId)}
      </label>
      {help ? (
        <span id={id} className={wrong ? `${look.help} ${look.wrong}` : look.help}>
          {help}
        </span>
      ) : null}
    </span>
  );
}
