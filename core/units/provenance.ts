/** Where a figure comes from: a default of the model, something the cook measured, or something learned from batches. */
export type Provenance = 'default' | 'measured' | 'learned';

/** A figure that carries its provenance. */
export interface Figure {
  readonly value: number;
  readonly source: Provenance;
}

export const figure = (value: number, source: Provenance = 'default'): Figure => ({ value, source });
