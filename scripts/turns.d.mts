export declare const TURNS: number;
export declare const LONG_TURNS: number;
export declare const LONG: string;
export declare const testsOfTurn: (folder: string, turn: number) => RegExp;
export declare const longOfOtherTurns: (folder: string, turn: number, late: ReadonlySet<string>) => RegExp;
export declare const hasTurn: (folder: string, file: string, turn: number) => boolean;
