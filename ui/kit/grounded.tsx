'use client';
import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';

const Ground = dynamic(() => import('./Ground'), { ssr: false });

/** A component that is fetched when it is first drawn, with what the library's own components in it stand on. */
export function grounded<P extends object>(load: () => Promise<ComponentType<P> | { default: ComponentType<P> }>) {
  const Inner = dynamic<P>(load, { ssr: false });
  return function GroundedPart(props: P) {
    return (
      <Ground>
        <Inner {...props} />
      </Ground>
    );
  };
}
