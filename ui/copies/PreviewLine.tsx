import { useId } from 'react';
import type { ShownLine } from '@/server/copies/opened';
import { LocalTime, Told } from '../kit';
import look from '../kit/list.module.css';
import own from './copies.module.css';

const DELETED = 'in Deleted';

/** When each was changed, and which is the later. */
function When({ line }: { line: ShownLine }) {
  const { hereAt, thereAt } = line;
  if (line.where !== 'both' || line.kind === 'batch' || hereAt === thereAt) {
    const at = thereAt ?? hereAt;
    return at === null ? null : <LocalTime at={at} as="date" />;
  }
  const later = (hereAt ?? '') > (thereAt ?? '') ? 'here is later' : 'the copy is later';
  return (
    <>
      {thereAt ? <LocalTime at={thereAt} as="moment" /> : null} there,{' '}
      {hereAt ? <LocalTime at={hereAt} as="moment" /> : null} here: {later}
    </>
  );
}

/** One difference: taken or left by a press. */
export function PreviewLine({ line, chosen, onToggle }: { line: ShownLine; chosen: boolean; onToggle: () => void }) {
  const id = useId();
  const more = [
    ...(line.where === 'there' && line.thereDeleted ? [`${DELETED} there, and then here`] : []),
    ...(line.where === 'both' && line.hereDeleted && !line.thereDeleted ? [`${DELETED} here: it comes back`] : []),
    ...(line.where === 'both' && !line.hereDeleted && line.thereDeleted
      ? [`${DELETED} there: it goes to Deleted`]
      : []),
    ...(line.running ? ['at the stove now: it stays as it is'] : []),
    ...(line.readable ? [] : ['cannot be read in the copy']),
    ...line.changes,
  ];
  return (
    <li className={own.line}>
      <input id={id} type="checkbox" checked={chosen} disabled={!line.takeable} onChange={onToggle} />
      <label htmlFor={id}>{line.name}</label>
      <span className={`${look.soft} ${own.when}`}>
        <When line={line} />
      </span>
      {more.length > 0 ? (
        <span className={`${look.soft} ${own.more}`}>
          <Told>{more.join(' · ')}</Told>
        </span>
      ) : null}
    </li>
  );
}
