'use client';
import type { ComponentType, ReactNode } from 'react';
import { later } from './later';

const Ground = later<{ children: ReactNode }>(() => import('./Ground'), { quiet: true });

/** A component that comes later, with what the library's own components in it stand on. */
export function grounded<P extends object>(load: () => Promise<ComponentType<P> | { default: ComponentType<P> }>) {
  const Inner = later<P>(load);
  return function GroundedPart(props: P) {
    return (
      <Ground>
        <Inner {...props} />
      </Ground>
    );
  };
}
