/** Where a figure comes from: a default of the model, something the cook measured, or something learned from batches. */
export type Provenance = 'default' | 'measured' | 'learned';

/** A figure that carries its spread and its provenance. */
export interface Figure {
  readonly value: number;
  /** One standard deviation, in the figure's own unit; 0 where none is known. */
  readonly sd: number;
  readonly source: Provenance;
}

export const figure = (value: number, source: Provenance = 'default', sd = 0): Figure => ({ value, sd, source });
