export declare const bundle: (entryPoints: Readonly<Record<string, string>>, outdir: string) => Promise<void>;
