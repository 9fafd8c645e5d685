export declare const emptyLeft: (root: string, of?: (file: string) => boolean) => readonly string[];
