'use client';
import { Box, ButtonBase } from '@mui/material';
import { memo, useRef } from 'react';
import type { Forecast } from '@/core/forecast';
import { Told } from '../kit';
import { headlineOf, STATIONS, STATION_WORDS, type StationName } from './stations';

const HATCH = {
  watch: 'repeating-linear-gradient(135deg, var(--mui-palette-warning-main) 0 2px, transparent 2px 6px)',
  stop: 'repeating-linear-gradient(90deg, var(--mui-palette-error-main) 0 4px, transparent 4px 6px)',
} as const;

interface TileProps {
  readonly station: StationName;
  readonly chosen: boolean;
  readonly figure: string;
  readonly unit: string;
  readonly faint: boolean;
  readonly trouble: 'watch' | 'stop' | undefined;
  readonly onStation: (s: StationName) => void;
}

const Tile = memo(function Tile({ station, chosen, figure, unit, faint, trouble, onStation }: TileProps) {
  return (
    <ButtonBase
      role="tab"
      id={`tab-${station}`}
      aria-controls="station"
      aria-selected={chosen}
      tabIndex={chosen ? 0 : -1}
      onClick={() => onStation(station)}
      sx={{
        flex: '1 0 92px',
        display: 'block',
        textAlign: 'left',
        fontFamily: 'inherit',
        p: '7px 12px 6px',
        borderRight: 1,
        borderColor: 'divider',
        borderBottom: '4px solid',
        borderBottomColor: chosen ? 'primary.main' : 'transparent',
        bgcolor: chosen ? 'background.default' : 'transparent',
        '&:last-of-type': { borderRight: 0 },
      }}
    >
      <Box
        component="span"
        sx={{ display: 'flex', justifyContent: 'space-between', fontSize: 13, color: 'text.secondary' }}
      >
        <span>{STATION_WORDS[station]}</span>
        {trouble ? (
          <Box
            component="span"
            sx={{
              width: 22,
              height: 10,
              backgroundImage: HATCH[trouble],
              border: 1,
              borderColor: trouble === 'stop' ? 'error.main' : 'warning.main',
            }}
          >
            <span className="unseen">, {trouble}</span>
          </Box>
        ) : null}
      </Box>
      <span
        data-testid={`headline-${station}`}
        style={{
          display: 'block',
          fontWeight: 600,
          fontSize: 19,
          lineHeight: 1.2,
          opacity: faint ? 0.45 : 1,
          whiteSpace: 'nowrap',
        }}
      >
        <Told>{figure}</Told>
      </span>
      <Box component="span" sx={{ display: 'block', fontSize: 12, color: 'text.secondary', lineHeight: 1.2 }}>
        {unit}
      </Box>
    </ButtonBase>
  );
});

/** The stations in working order, each with its headline number. Arrow keys move along it. */
export function StationStrip({
  forecast,
  heating,
  station,
  onStation,
}: {
  forecast: Forecast;
  heating: boolean;
  station: StationName;
  onStation: (s: StationName) => void;
}) {
  const strip = useRef<HTMLDivElement>(null);
  const onKey = (e: React.KeyboardEvent) => {
    const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    e.preventDefault();
    const next = STATIONS[(STATIONS.indexOf(station) + by + STATIONS.length) % STATIONS.length];
    onStation(next);
    strip.current?.querySelector<HTMLElement>(`#tab-${next}`)?.focus();
  };
  return (
    <Box
      ref={strip}
      role="tablist"
      aria-label="Stations"
      onKeyDown={onKey}
      sx={{ display: 'flex', overflowX: 'auto', border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
    >
      {STATIONS.map((s) => {
        const h = headlineOf(s, forecast);
        return (
          <Tile
            key={s}
            station={s}
            chosen={s === station}
            figure={h.figure}
            unit={h.unit}
            faint={h.heat && heating}
            trouble={h.trouble}
            onStation={onStation}
          />
        );
      })}
    </Box>
  );
}
