/** What is under way of a copy, and how far it is. */
export interface Progress {
  readonly phase: 'gathering' | 'packing' | 'proving' | 'unpacking' | 'comparing' | 'taking';
  /** Bytes done, and in all; all is 0 where nobody knows. */
  readonly done: number;
  readonly all: number;
}
export interface Watched {
  readonly signal?: AbortSignal;
  readonly onProgress?: (p: Progress) => void;
}
