'use client';
import { useState, useSyncExternalStore } from 'react';
import { forgetStarted, startedWords } from './started';
import { CrossMark, IconPress, Say } from '../kit';

const never = () => () => {};

/** What was chosen for a plan when it was started; told until it is put away. */
export function StartedNote({ id }: { id: string }) {
  const words = useSyncExternalStore(
    never,
    () => startedWords(id),
    () => undefined,
  );
  const [away, setAway] = useState(false);
  if (!words || away) return null;
  return (
    <div style={{ display: 'flex', alignItems: 'center' }} role="status">
      <Say tone="ready">{words}</Say>
      <IconPress
        label="Put this note away"
        onClick={() => {
          forgetStarted(id);
          setAway(true);
        }}
      >
        <CrossMark size="small" />
      </IconPress>
    </div>
  );
}
