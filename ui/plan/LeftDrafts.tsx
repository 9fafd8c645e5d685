'use client';
import { LocalTime, Press, Row, Say } from '../kit';
import type { LeftDraft } from './drafts';

/** What a window on this device left unsaved when it was closed: the cook says whether it counts. */
export default function LeftDrafts({
  left,
  onChoose,
}: {
  left: readonly LeftDraft[];
  onChoose: (draft: LeftDraft, take: boolean) => void;
}) {
  return left.map((d) => (
    <Row key={d.key}>
      <Say tone="watch">
        A window that was closed had changes to this plan that were never saved, of{' '}
        <LocalTime at={new Date(d.at).toISOString()} as="moment" />.
      </Say>
      <Press main onClick={() => onChoose(d, true)}>
        Take them in
      </Press>
      <Press quiet onClick={() => onChoose(d, false)}>
        Throw them away
      </Press>
    </Row>
  ));
}
