'use client';
import { there } from '@/core/units';
import { bladeCare, cutSvg } from '@/core/model/cut';
import { Column, Press, Row, Say, Soft } from '../kit';
import { Method } from '../method/Method';
import type { StationProps } from '../plan/StationProps';
import { CutFacts } from './CutFacts';
import { CutSaid, type Cut } from './CutSaid';

const COLD_CUT_C = 12;

/** Saves text as a file from the page. */
function saveText(name: string, text: string, type: string) {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** Cut: shape, by count, size or grams, on the real outline. */
export function CutStation(props: StationProps) {
  const { plan, forecast, edit } = props;
  const { light } = forecast;
  const cut = light.cut;
  const set = (key: string, change: Partial<Cut>) =>
    edit(`cut.${key}`, (p) => ({
      ...p,
      cut: { shape: 'squares', by: { kind: 'count', pieces: 16 }, ...p.cut, ...change },
    }));
  if (!plan.cut)
    return (
      <Column>
        <div>
          <Method {...props} station="cut" />
          <Press onClick={() => set('on', {})}>Plan the cutting</Press>
        </div>
      </Column>
    );
  return (
    <Column>
      <div>
        <Method {...props} station="cut" />
        <CutSaid wanted={plan.cut} inForce={light.resolved.plan.cut} cut={cut} set={set} />
      </div>
      {cut ? <CutFacts plan={plan} forecast={forecast} cut={cut} /> : null}
      {cut?.problems.map((p) => (
        <Say key={p.code} tone="stop">
          {p.sentence}
        </Say>
      ))}
      {cut ? <Soft>{cut.order}</Soft> : null}
      <Say>
        {bladeCare(
          light.texture.sticky,
          there(light.balance.batters[0]).starchShares.tapioca ?? 0,
          plan.addIns.length > 0,
        )}{' '}
        One millimetre goes to each cut. {light.family.cutC <= COLD_CUT_C ? 'Cut it cold.' : 'Cut it once it is cool.'}
      </Say>
      <Row>
        {cut && cut.count > 0 ? (
          <Press
            onClick={() =>
              saveText(
                `${plan.name.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60)}-cut.svg`,
                cutSvg(cut, plan.name),
                'image/svg+xml',
              )
            }
          >
            Save the cut lines at true scale (SVG)
          </Press>
        ) : null}
        <Press quiet onClick={() => edit('cut.off', (p) => ({ ...p, cut: undefined }))}>
          Leave whole
        </Press>
      </Row>
    </Column>
  );
}
