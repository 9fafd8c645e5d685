/** Makes one file of each entry and all of ours that it calls, `NAME.mjs` in a folder; packages stay where they are. @param entryPoints sources by name */
export async function bundle(entryPoints, outdir) {
  const { build } = await import('esbuild');
  await build({
    entryPoints,
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'warning',
  });
}
