import { crc32 } from 'node:zlib';
import type { Model, ModelStatic } from 'sequelize';

/** Checksum of what is kept in a row, CRC-32: any single flipped bit of it changes it. */
export const sumOf = (kept: string | Uint8Array): number => crc32(kept);

/** True where what is kept is what was written; a row of before sums were kept has none to go by. */
export const isWhole = (kept: string | Uint8Array, sum: number | null | undefined): boolean =>
  sum === null || sum === undefined || sum === sumOf(kept);

/** Has a model keep the checksum of a column beside it, whoever writes it. */
export function keepSum<M extends Model>(model: ModelStatic<M>, column: string): void {
  const summed = (values: Record<string, unknown>): boolean => {
    const kept = values[column];
    if (typeof kept !== 'string' && !(kept instanceof Uint8Array)) return false;
    values.sum = sumOf(kept);
    return true;
  };
  model.addHook('beforeCreate', (row) => {
    const values = row.get({ plain: true }) as Record<string, unknown>;
    if (summed(values)) row.set('sum' as never, values.sum as never);
  });
  model.addHook('beforeBulkCreate', (rows: readonly Model[]) => {
    for (const row of rows) {
      const values = row.get({ plain: true }) as Record<string, unknown>;
      if (summed(values)) row.set('sum' as never, values.sum as never);
    }
  });
  model.addHook('beforeBulkUpdate', (options) => {
    // Sequelize hands its hooks the values too, which its types do not say.
    const { attributes } = options as { attributes?: Record<string, unknown> };
    if (attributes && summed(attributes)) (options.fields as string[] | undefined)?.push('sum');
  });
}
