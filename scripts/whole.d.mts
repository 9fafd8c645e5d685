export declare const WHOLE: boolean;
export declare const EVERY_CASE: boolean;
export declare const THROWN_AWAY: boolean;
export declare const TESTED: boolean;
