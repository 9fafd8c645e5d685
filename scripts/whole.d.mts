export declare const WHOLE: boolean;
export declare const THROWN_AWAY: boolean;
