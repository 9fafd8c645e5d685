export declare const turnNow: () => number;
export declare const lateFiles: () => Set<string>;
