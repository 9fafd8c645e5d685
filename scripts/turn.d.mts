export declare const turnToday: () => number;
