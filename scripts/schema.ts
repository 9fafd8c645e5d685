import { mkdirSync, writeFileSync } from 'node:fs';
import { jsonSchemas } from '@/core/formats';

/** Writes the published JSON Schemas of the plan and kitchen documents to docs/schema/. */
mkdirSync('docs/schema', { recursive: true });
for (const [name, schema] of Object.entries(jsonSchemas()))
  writeFileSync(`docs/schema/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
