'use client';
import { cakeMaterial } from '@/core/model/steam';
import { daysUntilHarder, keepChilled, resteamTime, staling, type Keeping } from '@/core/model/rest';
import { boilingPointC, plural, sayDuration, there } from '@/core/units';
import type { StationProps } from '../plan/StationProps';
import { Choice, Fact, Row, Small, Title, Told } from '../kit';

const LINES: readonly { keeping: Keeping; words: string; dash: string | undefined; colour: string }[] = [
  { keeping: 'chilled', words: 'chilled', dash: undefined, colour: 'var(--accent)' },
  { keeping: 'room', words: 'at room, for texture only', dash: '6 3', colour: 'var(--watch)' },
  { keeping: 'frozen', words: 'frozen', dash: '2 3', colour: 'var(--steam)' },
];
const SLICE_M = 0.02;
const WRAPS = [
  { value: 'film', words: 'in film', hint: 'Moisture evens out; softest after a day.' },
  { value: 'box', words: 'in a box', hint: 'Dries a little.' },
  { value: 'open', words: 'open', hint: 'The top dries and toughens on the first day.' },
] as const;

/** Hardness over the days, the best-eaten window, and the steam that makes it tender again. */
export function KeepingPanel({ plan, forecast, kitchen, edit }: StationProps) {
  const { light } = forecast;
  const larder = light.resolved.larder;
  const shares = there(light.balance.batters[0]).shares;
  const amylose = Object.entries(shares).reduce((s, [id, x]) => s + x * (larder.get(id)?.amylose ?? 0.2), 0);
  const input = { hardens: light.texture.hardens, firm: light.texture.firm, chewy: light.texture.chewy, amylose };
  const cooled = forecast.heat?.rest?.curve.filter((p) => p.timeS <= (forecast.heat?.rest?.stagesEndS ?? 0)) ?? [];
  const lines = LINES.filter((l) => l.keeping !== 'frozen' || light.family.freezes).map((l) => ({
    ...l,
    points: staling(input, l.keeping, 4, plan.wrap, cooled),
  }));
  const best = daysUntilHarder(there(lines[0]).points);
  const piece = light.piece ?? { thicknessM: Math.min(SLICE_M, light.fill.depthM), faceM: [0.05, 0.05] as const };
  const again =
    light.fill.depthM > 0.002
      ? resteamTime(
          cakeMaterial(light.body),
          Math.max(0.004, piece.thicknessM),
          Math.max(0.02, piece.faceM[0]),
          kitchen.fridgeC,
          boilingPointC(kitchen.altitudeM),
        )
      : undefined;
  const x = (d: number) => 40 + (d / 4) * 300;
  const y = (h: number) => 112 - h * 9.6;
  return (
    <div>
      <Title>Over the days</Title>
      <Row>
        <Choice
          label="Wrapped"
          value={plan.wrap}
          width={120}
          options={WRAPS}
          onChange={(wrap) => edit('wrap', (p) => ({ ...p, wrap }))}
        />
        <Fact name="Best chilled within">
          {best < 1 ? `${Math.max(6, Math.round(best * 24))} h` : plural(best, 'day')}
        </Fact>
        <Fact name="Keep until" note={light.family.freezes ? 'freezes well' : 'does not freeze'}>
          {keepChilled(light.family.keepDays, light.balance.allergens).words}
        </Fact>
        <Fact name="Chew" note="fresh, and after two days chilled">
          {light.texture.chewy.toFixed(1)} → {there(there(lines[0]).points[8]).chew.toFixed(1)}
        </Fact>
        <Fact name="Tender again" note={again ? `steam a slice; hot through at ${sayDuration(again.hotS)}` : undefined}>
          {again ? sayDuration(again.tenderS) : '–'}
        </Fact>
      </Row>
      <svg
        viewBox="0 0 360 136"
        width="100%"
        style={{ maxWidth: 460, display: 'block' }}
        role="img"
        aria-label={`Hardness from ${light.texture.firm.toFixed(1)} when fresh; ${lines.map((l) => `${l.words} ${there(l.points[8]).hardness.toFixed(1)} after two days`).join(', ')}.`}
      >
        {[0, 5, 10].map((h) => (
          <g key={h}>
            <path d={`M40,${y(h)}H340`} stroke="var(--line)" />
            <text x="34" y={y(h) + 4} fontSize="11" textAnchor="end" fill="var(--soft)">
              {h}
            </text>
          </g>
        ))}
        {[0, 1, 2, 3, 4].map((d) => (
          <text key={d} x={x(d)} y="130" fontSize="11" textAnchor="middle" fill="var(--soft)">
            {d === 0 ? 'fresh' : `${d} d`}
          </text>
        ))}
        {lines.map((l) => (
          <polyline
            key={l.keeping}
            points={l.points.map((p) => `${x(p.days)},${y(p.hardness)}`).join(' ')}
            fill="none"
            stroke={l.colour}
            strokeWidth="2"
            strokeDasharray={l.dash}
          />
        ))}
      </svg>
      <Small>
        Hardness: {lines.map((l) => `${l.words} ${l.dash ? 'dashed' : 'full line'}`).join(', ')}. An estimate;{' '}
        <Told>re-steaming above 65 °C sets it back to fresh, once.</Told>
      </Small>
    </div>
  );
}
