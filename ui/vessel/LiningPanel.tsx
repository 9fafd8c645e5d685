'use client';
import { sentenceCase } from '@/core/units';
import { liningFor, liningSvg, liningWords } from '@/core/model/vessel';
import { Column, LinkPress, Note, Title, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';

/** What paper to cut for this vessel at this depth, and a drawing of it at true scale to print. */
export function LiningPanel({ plan, forecast }: StationProps) {
  const { vessel } = forecast.light.resolved;
  const pieces = liningFor(vessel, forecast.light.fill.depthM);
  const svg = liningSvg(pieces, `Lining for ${vessel.name}`);
  return (
    <Column label="Lining">
      <Title>Paper for it</Title>
      <Note>
        <Told>{`${sentenceCase(liningWords(pieces))}.`}</Told>
      </Note>
      <LinkPress
        href={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
        download={`lining ${plan.name.slice(0, 60)}.svg`}
      >
        Drawing at true scale, to print
      </LinkPress>
    </Column>
  );
}
