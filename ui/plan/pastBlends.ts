/** A past batch as a dot on the blend field. */
export interface PastBlend {
  readonly name: string;
  readonly overall: number | null;
  readonly shares: Readonly<Record<string, number>>;
}
