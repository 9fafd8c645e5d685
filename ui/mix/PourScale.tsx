'use client';
import { there } from '@/core/units';
import { applyLever, leversTo } from '@/core/flow';
import { Column, Note, Press, Row, Soft, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { pourAxis } from './pourAxis';

const H = 330;
const TOP = 18;
/** Least distance between words on the scale. */
const APART = 15;

/** One tall scale from dough to milk: this batter now, the family's band, and what water or flour would do. */
export function PourScale({ forecast, edit, index = 0 }: StationProps & { index?: number }) {
  const { light } = forecast;
  const b = there(light.balance.batters[index]);
  const c = there(light.consistency[index]);
  const axis = pourAxis(light, index, TOP, H - TOP, APART);
  const { top, bottom, y, marks } = axis;
  const [lo, hi] = axis.band;
  const middle = (lo + hi) / 2;
  const levers = leversTo(b, middle);
  const inBand = b.liquidToDry >= lo && b.liquidToDry <= hi;
  return (
    <Row>
      <svg
        viewBox={`0 0 236 ${H}`}
        width="236"
        height={H}
        role="img"
        aria-label={`Pour scale: liquid to dry ${b.liquidToDry.toFixed(2)}, ${c.words}; this family runs ${lo} to ${hi}.`}
        style={{ flex: 'none', maxWidth: '60%' }}
      >
        <rect x="96" y={TOP} width="22" height={H - 2 * TOP} fill="var(--ground)" stroke="var(--soft)" />
        <rect
          x="96"
          y={y(lo)}
          width="22"
          height={Math.max(2, y(hi) - y(lo))}
          fill="var(--set)"
          stroke="var(--good)"
          strokeWidth="2"
          strokeDasharray="6 3"
        />
        <text x="90" y={TOP + 6} fontSize="12" textAnchor="end" fill="var(--soft)">
          dough
        </text>
        <text x="90" y={H - TOP} fontSize="12" textAnchor="end" fill="var(--soft)">
          water
        </text>
        {marks.map((m) => (
          <g key={m.words}>
            <path d={`M118,${y(m.at)}h7`} stroke="var(--soft)" />
            <text x="128" y={y(m.at) + 4} fontSize="12" fill="var(--ink)">
              {m.words}
            </text>
          </g>
        ))}
        {[0.5, 1, 2, 3, 4, 6]
          .filter((v) => v > top && v < bottom)
          .map((v) => (
            <g key={v}>
              <path d={`M90,${y(v)}h6`} stroke="var(--soft)" />
              <text x="86" y={y(v) + 4} fontSize="11" textAnchor="end" fill="var(--soft)">
                {v} : 1
              </text>
            </g>
          ))}
        <path
          d={`M58,${y(b.liquidToDry)}l34,-8v16z M92,${y(b.liquidToDry)}h30`}
          fill="var(--accent)"
          stroke="var(--accent)"
          strokeWidth="2"
        />
        <text x="54" y={y(b.liquidToDry) + 5} fontSize="15" fontWeight="600" textAnchor="end" fill="var(--ink)">
          {b.liquidToDry.toFixed(2)}
        </text>
      </svg>
      <Column>
        <b>{c.words}</b>
        <Soft>
          {c.viscosityMPas === undefined
            ? 'Too stiff to give a number.'
            : `${c.viscosityMPas < 10 ? c.viscosityMPas.toFixed(1) : Math.round(c.viscosityMPas)} mPa·s before it is heated.`}{' '}
          {inBand ? 'Within this family’s band.' : `This family runs ${lo} to ${hi}.`}
        </Soft>
        <Note>To reach the middle, {middle.toFixed(2)} : 1, either</Note>
        {levers.map((l) => (
          <Press
            key={l.what}
            onClick={() => edit(`lever.${l.what}.${l.grams}`, (p) => applyLever(p, index, l, light.resolved.larder))}
          >
            <Told>{l.sentence}</Told>
          </Press>
        ))}
      </Column>
    </Row>
  );
}
