import { readFileSync } from 'node:fs';

/**
 * Getting and giving back a connection is the library's own affair, and is replaced here (`keepConnections`): only the release that it was tried with
 * will do. That both connections do as they should is asked in `db.test.ts`.
 */
test('the library whose connections are kept is pinned, and is the one that is installed', () => {
  const versionIn = (file: string) =>
    JSON.parse(readFileSync(file, 'utf8')) as { readonly dependencies: Record<string, string> };
  const { dependencies } = versionIn('package.json');
  expect(dependencies.sequelize).toMatch(/^\d+\.\d+\.\d+$/);
  expect(versionIn('node_modules/sequelize/package.json')).toMatchObject({ version: dependencies.sequelize });
  expect(versionIn('package-lock.json')).toMatchObject({
    packages: { '': { dependencies: { sequelize: dependencies.sequelize } } },
  });
});
