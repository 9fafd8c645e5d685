'use client';
import { LinkPress, Press } from './Press';
import { Row } from './Rows';

/** A page that is not there, or broke: what happened and the way back. */
export function Missing({ title, sentence, onRetry }: { title: string; sentence: string; onRetry?: () => void }) {
  return (
    <div style={{ maxWidth: 560, padding: '64px 0' }}>
      <h1 className="title">{title}</h1>
      <p>{sentence}</p>
      <Row>
        {onRetry ? <Press onClick={onRetry}>Try again</Press> : null}
        <LinkPress main href="/">
          Back to the galley
        </LinkPress>
      </Row>
    </div>
  );
}
