'use client';
import { shoppingFor, type ToBuy } from '@/core/desk/shopping';
import { plural, sayGrams } from '@/core/units';
import { Column, Small, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';
import look from './mix.module.css';

const packWords = (b: ToBuy): string => (b.packs ? `${plural(b.packs.count, b.packs.word)} of ${b.packs.massG} g` : '');

/** What to buy for this plan, as it is bought, less what is in the cupboard. */
export function ShoppingPanel({ forecast }: StationProps) {
  const list = shoppingFor(forecast.light);
  const warned = new Set<string>();
  return (
    <Column label="To buy">
      <table className={look.buy}>
        <thead>
          <tr>
            <th>To buy</th>
            <th>for use</th>
            <th>as it is bought</th>
          </tr>
        </thead>
        <tbody>
          {list.map((b) => {
            const warn = b.lookAlike && !warned.has(b.lookAlike) ? b.lookAlike : undefined;
            if (warn) warned.add(warn);
            return (
              <tr key={b.id}>
                <td>
                  {b.name}
                  {warn ? <Small>{warn}</Small> : null}
                </td>
                <td>
                  <Told>{sayGrams(b.usedG)}</Told>
                </td>
                <td>
                  <Told>
                    {(b.inStock
                      ? ['in the cupboard', b.words]
                      : [packWords(b) || b.words || sayGrams(b.buyG), packWords(b) ? b.words : '']
                    )
                      .filter((x) => x !== '')
                      .join('; ')}
                  </Told>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Column>
  );
}
