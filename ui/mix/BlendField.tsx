'use client';
import { Box, Stack, Typography } from '@mui/material';
import { useId, useMemo, useRef, useState } from 'react';
import type { Ingredient } from '@/core/larder';
import { solverInputFor } from '@/core/flow';
import { blendTexture, TEXTURE_AXES, type TextureAxis } from '@/core/model/batter';
import { Choice, NumberField } from '../kit';
import { GRIP, ONE_DRAG, useHandle } from '../kit/useHandle';
import type { StationProps } from '../plan/StationProps';
import { AXIS_WORDS } from '../kit/TextureBars';
import { fieldContours, HEIGHT, PAD, regionOf, SIDE, toShares, toXY, type Three } from './triangle';
import { dissolveBlends } from '@/core/plan';
import { setShares } from '../lines/editLines';
import { shortName, there } from '@/core/units';

const STEP = 0.02;

/** The three-cornered field: the point is the blend of three starches, the others held; bands show a texture axis; dots are past batches. */
export function BlendField({
  plan,
  forecast,
  edit,
  three,
  onThree,
  past,
}: StationProps & { three: readonly Ingredient[]; onThree: (index: number, id: string) => void }) {
  const [axis, setAxis] = useState<TextureAxis>('chewy');
  const clip = useId();
  const svg = useRef<SVGSVGElement>(null);
  const { light } = forecast;
  const balance = there(light.balance.batters[0]);
  const { shares: all, hydration } = balance;
  const flours = [...light.resolved.larder.values()].filter((i) => i.starchKind && !i.blendOf);
  const together = three.reduce((s, i) => s + (all[i.id] ?? 0), 0) || 1;
  const shares = three.map((i) => (all[i.id] ?? 0) / together) as unknown as Three;
  const others = useMemo(() => Object.entries(all).filter(([id]) => !three.some((t) => t.id === id)), [all, three]);
  const bands = useMemo(() => {
    const ingredients = [
      ...three,
      ...others.flatMap(([id]) => {
        const i = light.resolved.larder.get(id);
        return i ? [i] : [];
      }),
    ];
    const input = solverInputFor(
      balance,
      ingredients.map((i) => ({ ...i, stockG: undefined })),
      { firm: 5 },
      {},
      { bands: {}, keepBands: false, hydration: [hydration, hydration] },
    );
    const rest = others.map(([, share]) => share);
    return fieldContours((s) => blendTexture(input, [...s.map((x) => x * together), ...rest], hydration)[axis]);
  }, [three, others, light, balance, hydration, axis, together]);
  const region = useMemo(
    () =>
      regionOf(
        three.map((i) => {
          const b = light.family.blend[i.id];
          return b ? ([b[0] / 100 / together, Math.min(1, b[1] / 100 / together)] as const) : ([0, 1] as const);
        }),
      ),
    [three, light.family, together],
  );
  const move = (next: Three, key: string) =>
    edit(key, (p) =>
      setShares(
        dissolveBlends(p, 0, forecast.light.resolved.larder),
        0,
        three.map((i, k) => ({ id: i.id, massG: there(next[k]) * together * balance.dryBlendG })),
      ),
    );
  const handle = useHandle((x, y) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return undefined;
    const next = toShares(
      ((x - box.left) / box.width) * (SIDE + 2 * PAD),
      ((y - box.top) / box.height) * (HEIGHT + 2 * PAD),
    );
    return () => move(next, ONE_DRAG);
  });
  const nudge = (e: React.KeyboardEvent) => {
    const d: Readonly<Record<string, Three>> = {
      ArrowUp: [STEP, -STEP / 2, -STEP / 2],
      ArrowDown: [-STEP, STEP / 2, STEP / 2],
      ArrowLeft: [0, STEP, -STEP],
      ArrowRight: [0, -STEP, STEP],
    };
    const by = d[e.key];
    if (!by) return;
    e.preventDefault();
    const raw = shares.map((x, i) => Math.max(0, x + there(by[i])));
    const sum = raw.reduce((a, b) => a + b, 0);
    move([there(raw[0]) / sum, there(raw[1]) / sum, there(raw[2]) / sum], 'blend.keys');
  };
  const words = three.map((i, k) => `${i.name} ${Math.round(there(shares[k]) * together * 100)} %`).join(', ');
  const [px, py] = toXY(shares);
  return (
    <Stack direction={{ xs: 'column', sm: 'row' }} spacing={2} sx={{ alignItems: 'flex-start' }}>
      <Box sx={{ flex: '3 1 330px', maxWidth: 420, width: '100%' }}>
        <svg
          ref={svg}
          viewBox={`0 0 ${SIDE + 2 * PAD} ${HEIGHT + 2 * PAD}`}
          width="100%"
          style={{ display: 'block' }}
          role="group"
          aria-label={`Blend field of ${three.map((i) => i.name).join(', ')}`}
        >
          <defs>
            <clipPath id={clip}>
              <path d={`M${toXY([1, 0, 0]).join()}L${toXY([0, 1, 0]).join()}L${toXY([0, 0, 1]).join()}Z`} />
            </clipPath>
          </defs>
          <g clipPath={`url(#${clip})`} aria-hidden>
            <rect width={SIDE + 2 * PAD} height={HEIGHT + 2 * PAD} fill="var(--ground)" />
            {bands.map((b) => (
              <path
                key={b.level}
                d={b.path}
                fill="var(--steam)"
                fillOpacity="0.11"
                stroke="var(--steam)"
                strokeWidth="0.7"
              />
            ))}
            {region.length > 2 ? (
              <polygon
                points={region.map((p) => p.join()).join(' ')}
                fill="none"
                stroke="var(--good)"
                strokeWidth="2.5"
                strokeDasharray="7 4"
              />
            ) : null}
          </g>
          <path
            d={`M${toXY([1, 0, 0]).join()}L${toXY([0, 1, 0]).join()}L${toXY([0, 0, 1]).join()}Z`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.4"
            aria-hidden
          />
          {past.map((b, i) => {
            const s = three.map((t) => b.shares[t.id] ?? 0);
            const sum = s.reduce((x, y) => x + y, 0);
            if (sum < 0.3) return null;
            const [x, y] = toXY([there(s[0]) / sum, there(s[1]) / sum, there(s[2]) / sum]);
            return (
              <circle
                key={i}
                cx={x + (i % 3) * 3 - 3}
                cy={y + (i % 2) * 3}
                r={5 + 2 * (b.overall ?? 1)}
                fill="none"
                stroke="var(--watch)"
                strokeWidth="1.4"
              >
                <title>{`${b.name}: ${b.overall ?? 'not tasted'}`}</title>
              </circle>
            );
          })}
          {three.map((i, k) => {
            const [x, y] = toXY([0, 1, 2].map((q) => (q === k ? 1 : 0)) as unknown as Three);
            return (
              <text
                key={i.id}
                x={x}
                y={k === 0 ? y - 10 : y + 20}
                fontSize="12.5"
                textAnchor={k === 0 ? 'middle' : k === 1 ? 'start' : 'end'}
                dx={k === 1 ? -PAD + 4 : k === 2 ? PAD - 4 : 0}
                fill="var(--ink)"
              >
                {shortName(i.name)}
              </text>
            );
          })}
          <g
            {...handle()}
            tabIndex={0}
            role="slider"
            aria-label="Blend: arrow keys move it"
            aria-valuemin={0}
            aria-valuemax={100}
            aria-valuenow={Math.round(shares[0] * 100)}
            aria-valuetext={words}
            onKeyDown={nudge}
            className={GRIP.free}
          >
            <circle cx={px} cy={py} r="26" fill="transparent" />
            <circle cx={px} cy={py} r="10" fill="var(--paper)" stroke="var(--accent)" strokeWidth="3" />
          </g>
        </svg>
        <Typography variant="caption" color="text.secondary" component="p">
          Bands: {AXIS_WORDS[axis]}, a step of one each, darker is more. Green dashes: where this family lives. Rings:
          past batches, wider is better. Take hold of the point to drag it.
        </Typography>
      </Box>
      <Stack spacing={1.25} sx={{ flex: '2 1 190px', width: '100%' }}>
        <Choice
          label="Bands show"
          value={axis}
          width="100%"
          options={TEXTURE_AXES.map((a) => ({ value: a, words: AXIS_WORDS[a] }))}
          onChange={setAxis}
        />
        {three.map((i, k) => (
          <Stack key={k} direction="row" spacing={1}>
            <Choice
              label={`Corner ${k + 1}`}
              value={i.id}
              width="100%"
              options={flours
                .filter((f) => f.id === i.id || !three.some((t) => t.id === f.id))
                .map((f) => ({ value: f.id, words: f.name }))}
              onChange={(id) => onThree(k, id)}
            />
            <NumberField
              label={`Share of ${i.name}`}
              as="bare"
              value={there(shares[k]) * together * 100}
              min={0}
              max={Math.round(together * 1000) / 10}
              unit="%"
              width={104}
              onChange={(pct) => {
                const x = Math.min(1, pct / 100 / together);
                const left = 1 - there(shares[k]);
                const next = shares.map((s, q) => (q === k ? x : left > 1e-9 ? (s / left) * (1 - x) : (1 - x) / 2));
                move([there(next[0]), there(next[1]), there(next[2])], `share.${k}`);
              }}
            />
          </Stack>
        ))}
        {others.length > 0 ? (
          <Typography variant="body2" color="text.secondary">
            Held:{' '}
            {others
              .map(([id, s]) => `${light.resolved.larder.get(id)?.name ?? id} ${Math.round(s * 100)} %`)
              .join(', ')}
            .
          </Typography>
        ) : null}
        <Typography variant="body2">
          In grams:{' '}
          {three
            .map(
              (i) =>
                `${shortName(i.name)} ${Math.round(there(plan.batters[0]).lines.find((l) => l.ingredient === i.id)?.massG ?? 0)}`,
            )
            .join(', ')}
          .
        </Typography>
      </Stack>
    </Stack>
  );
}
