export declare const turnNow: () => number;
export declare const lateFiles: (commits: number) => Set<string>;
