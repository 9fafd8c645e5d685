import { useMutation, useQueryClient } from '@tanstack/react-query';
import equal from 'fast-deep-equal';
import { useCallback } from 'react';
import type { KitchenState, Settings } from '@/db';
import { Refused, request, sentenceOf, useTell } from '../kit';
import { KEY, type KitchenNow } from './kitchenNow';

/** A change of the settings: of units and cups only those that change; a cup that is undefined is the table's again. */
export type SettingsChange = Partial<Omit<Settings, 'units' | 'myCups'>> & {
  readonly units?: Partial<Settings['units']>;
  readonly myCups?: Readonly<Record<string, number | undefined>>;
};

export interface SettingsHand {
  /** Writes a change of the settings, tells it or why it was not written, and answers whether it was. */
  readonly keepSettings: (change: SettingsChange, words?: string) => Promise<boolean>;
  /** Puts the usual settings in the place of ones that cannot be read. */
  readonly replaceSettings: () => Promise<void>;
}

const changedOf = (s: Settings, { units, myCups, ...rest }: SettingsChange): Settings => ({
  ...s,
  ...rest,
  units: { ...s.units, ...units },
  myCups: Object.fromEntries(
    Object.entries({ ...s.myCups, ...myCups }).filter((cup): cup is [string, number] => cup[1] !== undefined),
  ),
});
/** What of the settings a change touches, as it stands. */
const touchedOf = (s: Settings, { units, myCups, ...rest }: SettingsChange): SettingsChange => {
  const picked = <T extends object>(from: T, like: object): Partial<T> =>
    Object.fromEntries(Object.keys(like).map((k) => [k, from[k as keyof T]])) as Partial<T>;
  return {
    ...picked<SettingsChange>(s, rest),
    ...(units ? { units: picked(s.units, units) } : {}),
    ...(myCups ? { myCups: picked<NonNullable<SettingsChange['myCups']>>(s.myCups, myCups) } : {}),
  };
};

/** Writes the settings of the kitchen. */
export function useSettings({ now, refresh }: KitchenNow): SettingsHand {
  const client = useQueryClient();
  const tell = useTell();
  /** Writes the settings; the kitchen as it then is comes back with the answer, so it is not asked for again. */
  const putSettings = useCallback(
    async (sent: { revision: number; value: Settings; overUnreadable?: boolean }) => {
      const written = await request<KitchenState>('/api/kitchen', 'PUT', sent);
      await client.cancelQueries({ queryKey: KEY });
      client.setQueryData(KEY, written);
    },
    [client],
  );
  /**
   * Writes a change of the settings over what is there, one after another: this page's own last change is never in the way of its next. Another page's change
   * of other settings stays, one of the same is not written over.
   */
  const { mutateAsync: writeSettings } = useMutation({
    scope: { id: 'settings' },
    networkMode: 'always',
    mutationFn: async (change: SettingsChange): Promise<SettingsChange> => {
      let at = now().settings;
      const before = touchedOf(at.value, change);
      try {
        for (let tries = 0; ; tries++) {
          try {
            await putSettings({ revision: at.revision, value: changedOf(at.value, change) });
            return before;
          } catch (e) {
            const current =
              e instanceof Refused && e.status === 409 ? (e.body as { current: typeof at }).current : undefined;
            if (!current || tries > 3 || !equal(touchedOf(current.value, change), before)) throw e;
            at = current;
          }
        }
      } catch (e) {
        await refresh();
        throw e;
      }
    },
  });
  const keepSettings = useCallback<SettingsHand['keepSettings']>(
    async (change, words) => {
      try {
        const before = await writeSettings(change);
        tell({
          words: words ?? 'The kitchen’s settings are kept.',
          undo: async () => {
            await writeSettings(before);
          },
        });
        return true;
      } catch (e) {
        tell({ words: sentenceOf(e) });
        return false;
      }
    },
    [writeSettings, tell],
  );
  const replaceSettings = useCallback(async () => {
    const { revision, value } = now().settings;
    await putSettings({ revision, value, overUnreadable: true });
  }, [now, putSettings]);
  return { keepSettings, replaceSettings };
}
