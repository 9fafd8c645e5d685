'use client';
import NextLink from 'next/link';
import { plural } from '@/core/units';
import { Press, Say } from '../kit';
import { deviceStore, useDeviceStore } from '../kit/deviceStore';
import { useOnDevice } from '../kit/useOnDevice';
import look from '../kit/list.module.css';

/** The day on which the cook put it off, by the clock of the device. */
const putOff = deviceStore('copies-put-off');
const today = (): string => new Date().toDateString();

/** No good copy for days: told once a day. */
export function Uncopied({ days }: { days: number }) {
  const off = useDeviceStore(putOff);
  // Nobody knows what the cook put off before the page is on the device.
  if (!useOnDevice() || off === today()) return null;
  return (
    <div className={look.beside} style={{ flexWrap: 'wrap', gap: '4px 16px', marginBottom: 16 }} role="status">
      <Say tone="watch">{`No copy of this kitchen was made for ${plural(days, 'day')}: if this machine is lost, so is the notebook.`}</Say>
      <NextLink href="/copies" className={look.link}>
        Save a copy
      </NextLink>
      <Press quiet onClick={() => putOff.set(today())}>
        Tomorrow
      </Press>
    </div>
  );
}
