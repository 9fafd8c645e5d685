'use client';
import { Component, useEffect, useState, type ComponentType, type ReactNode } from 'react';

type Load<P> = () => Promise<ComponentType<P> | { default: ComponentType<P> }>;

/** It is tried again this often, and at once when the device says that it is back, ms. */
const AGAIN_MS = 4000;
const NOT_HERE = 'This part is not here yet; it comes when the kitchen answers.';

/** Loads that are to be done once the page is awake, and whether it is. */
const waiting = new Set<() => Promise<unknown>>();
let awake = false;
let fetching: Promise<void> | undefined;

async function fetchWaiting(): Promise<void> {
  // One after another: what the cook presses meanwhile is not kept waiting. Those that fail are tried with the next.
  for (const load of waiting) {
    try {
      await load();
      waiting.delete(load);
    } catch {
      /* out of reach: later */
    }
  }
}
/** Has every part of the page that comes later fetched now, so that a kitchen that goes out of reach takes none of them away. */
export function fetchLater(): Promise<void> {
  awake = true;
  fetching ??= fetchWaiting().finally(() => {
    fetching = undefined;
    if (waiting.size > 0) setTimeout(() => void fetchLater(), AGAIN_MS);
  });
  return fetching;
}

/** What goes wrong in a part stays in it: the rest of the page goes on. */
export class PartBoundary extends Component<{ readonly children: ReactNode }, { readonly failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError = () => ({ failed: true });
  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <p role="alert">
        This part did not come out.{' '}
        <button type="button" onClick={() => this.setState({ failed: false })}>
          Try again
        </button>
      </p>
    );
  }
}

/**
 * A component that is fetched when it is first drawn, or before that once the page is awake. Out of reach it says so in its place and comes by
 * itself when the kitchen answers; whatever goes wrong in it, the page around it goes on.
 * @param quiet true for what is drawn into another drawing: until it is there nothing stands in its place
 */
export function later<P extends object>(load: Load<P>, { quiet = false }: { readonly quiet?: boolean } = {}) {
  let known: ComponentType<P> | undefined;
  const fetched = async (): Promise<ComponentType<P>> => {
    const found = await load();
    known = 'default' in found ? found.default : found;
    return known;
  };
  waiting.add(fetched);
  // Parts of parts are known only once those are there.
  if (awake) setTimeout(() => void fetchLater());
  return function Later(props: P) {
    const [Part, setPart] = useState<ComponentType<P> | undefined>(() => known);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
      if (Part) return;
      let gone = false;
      let timer: ReturnType<typeof setTimeout> | undefined;
      const go = () => {
        clearTimeout(timer);
        fetched().then(
          (found) => {
            if (!gone) setPart(() => found);
          },
          () => {
            if (gone) return;
            setFailed(true);
            timer = setTimeout(go, AGAIN_MS);
          },
        );
      };
      go();
      window.addEventListener('online', go);
      return () => {
        gone = true;
        clearTimeout(timer);
        window.removeEventListener('online', go);
      };
    }, [Part]);
    if (!Part) return quiet || !failed ? null : <p role="status">{NOT_HERE}</p>;
    // In a drawing there is no place for a sentence.
    return quiet ? (
      <Part {...props} />
    ) : (
      <PartBoundary>
        <Part {...props} />
      </PartBoundary>
    );
  };
}
