/** How a figure of a forecast comes about; it stands beside the function that works the figure out. */
export interface Law {
  /** Path of the figure in the forecast, `*` for any one step, `**` at the end for all below; the first law that fits counts. */
  readonly at: string;
  /** The law in a sentence, with what it is from. */
  readonly law: string;
  /** Paths of what goes into it. `#` stands for the place that `*` stood for. */
  readonly from: readonly string[];
  /** Path of a spread {low, likely, high} that it widens with, in proportion. */
  readonly spread?: string;
}

/** Dotted paths of the fields of a record. */
type Fields<T> = T extends readonly unknown[] | string | number | boolean | null | undefined
  ? never
  : { [K in keyof T & string]: K | `${K}.${Fields<NonNullable<T[K]>>}` }[keyof T & string];

/**
 * Fields of a record that heavy work is done from, as paths of the forecast: one that the record has not does not compile.
 * @param record where it stands in the forecast: `inputs.steam`
 */
export const fieldsOf =
  <T>(record: string) =>
  (...fields: readonly Fields<T>[]): readonly string[] =>
    fields.map((f) => `${record}.${f}`);
