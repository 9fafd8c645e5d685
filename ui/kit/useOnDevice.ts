'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => {};
/** True on the device, false where the page is made: there nobody knows what the cook's clock says. */
export const useOnDevice = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
