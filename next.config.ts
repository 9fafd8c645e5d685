import type { NextConfig } from 'next';
import { TESTED, THROWN_AWAY } from './scripts/whole.mjs';

/** Pages that are there while the application is worked on, and in no build that is served. */
const WORKSHOP = process.env.NODE_ENV === 'production' ? [] : ['kit.tsx'];

const config: NextConfig = {
  pageExtensions: ['tsx', 'ts', ...WORKSHOP],
  serverExternalPackages: ['sequelize', 'sqlite3', 'sharp'],
  poweredByHeader: false,
  reactStrictMode: true,
  // A third of the build's time.
  reactCompiler: !THROWN_AWAY,
  devIndicators: false,
  distDir: process.env.IDLE_LADLE_DIST ?? '.next',
  // `npm test` checks the types beside the build.
  typescript: { ignoreBuildErrors: TESTED },
  // What is built for tests writes nothing down for the next build, and nobody looks up where its lines were.
  experimental: {
    turbopackFileSystemCacheForBuild: !TESTED,
    turbopackSourceMaps: !TESTED,
    // Half of the build's time.
    ...(THROWN_AWAY ? { turbopackMinify: false } : {}),
  },
  images: { unoptimized: true },
  // It is read on the machine it runs on or beside it: packing would take longer than sending.
  compress: false,
};

export default config;
