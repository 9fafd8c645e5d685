export interface Census {
  readonly emptyLeft: () => readonly string[];
  readonly unchecked: (isKernel: (file: string) => boolean) => readonly string[];
  readonly brought: (from: string) => ReadonlyMap<string, string>;
  readonly unread: (of: (file: string, ofInterface?: string) => boolean) => readonly string[];
}
export declare const census: (root: string) => Census;
