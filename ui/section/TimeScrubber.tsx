'use client';
import { Box, IconButton, Slider, Stack, Typography } from '@mui/material';
import { useEffect, useRef } from 'react';
import { sayDuration } from '@/core/units';
import { PauseMark, PlayMark } from '../kit';

export interface TimeMark {
  readonly atS: number;
  readonly words: string;
}

/** Scrub or play the heat; the moments that matter sit on the scale, and are listed below it in words. */
export function TimeScrubber({
  timeS,
  maxS,
  marks,
  playing,
  onTime,
  onPlay,
  label,
}: {
  timeS: number;
  maxS: number;
  marks: readonly TimeMark[];
  playing: boolean;
  onTime: (s: number) => void;
  onPlay: (on: boolean) => void;
  label: string;
}) {
  const at = useRef(timeS);
  useEffect(() => {
    at.current = timeS;
  }, [timeS]);
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let last = performance.now();
    const tick = (now: number) => {
      const next = at.current + ((now - last) / 1000) * (maxS / 9);
      last = now;
      if (next >= maxS) {
        onTime(maxS);
        onPlay(false);
        return;
      }
      onTime(next);
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, maxS, onTime, onPlay]);
  return (
    <Box>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: 'center' }}>
        <IconButton
          aria-label={playing ? 'Stop' : 'Play'}
          color="primary"
          size="small"
          sx={{ border: 1, borderColor: 'divider' }}
          onClick={() => {
            if (!playing && timeS >= maxS * 0.999) onTime(0);
            onPlay(!playing);
          }}
        >
          {playing ? <PauseMark /> : <PlayMark />}
        </IconButton>
        <Slider
          aria-label={label}
          value={Math.min(timeS, maxS)}
          min={0}
          max={maxS}
          step={Math.max(1, maxS / 240)}
          color="secondary"
          track={false}
          marks={marks.map((m) => ({ value: m.atS }))}
          getAriaValueText={(v) => sayDuration(v)}
          onChange={(_, v) => {
            onPlay(false);
            onTime(v as number);
          }}
          onKeyDown={(e) => {
            if (e.key === ' ') {
              e.preventDefault();
              onPlay(!playing);
            }
          }}
          sx={{
            '& .MuiSlider-mark': { height: 14, width: 3, bgcolor: 'success.main' },
            '& .MuiSlider-rail': { height: 4 },
          }}
        />
        <Typography sx={{ minWidth: 76, textAlign: 'right', fontWeight: 600, whiteSpace: 'nowrap' }}>
          {sayDuration(timeS)}
        </Typography>
      </Stack>
      <Stack
        direction="row"
        component="ul"
        sx={{ flexWrap: 'wrap', columnGap: 2, rowGap: 0.25, pl: 0, my: 0.25, listStyle: 'none' }}
      >
        {marks.map((m) => (
          <li key={m.words}>
            <Typography
              component="button"
              variant="body2"
              onClick={() => {
                onPlay(false);
                onTime(m.atS);
              }}
              sx={{
                background: 'none',
                border: 0,
                p: '3px 0',
                cursor: 'pointer',
                color: 'text.primary',
                font: 'inherit',
                fontSize: 13,
              }}
            >
              {m.words} <b>{sayDuration(m.atS)}</b>
            </Typography>
          </li>
        ))}
      </Stack>
    </Box>
  );
}
