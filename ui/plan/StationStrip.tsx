'use client';
import { Box, Tab, Tabs } from '@mui/material';
import type { Forecast } from '@/core/forecast';
import { headlineOf, STATIONS, STATION_WORDS, type StationName } from './stations';

const HATCH = { watch: 'repeating-linear-gradient(135deg, var(--mui-palette-warning-main) 0 2px, transparent 2px 6px)', stop: 'repeating-linear-gradient(90deg, var(--mui-palette-error-main) 0 4px, transparent 4px 6px)' } as const;
const TROUBLE_WORDS = { watch: ', watch', stop: ', stop' } as const;

/** The stations in working order, each with its headline number. */
export function StationStrip({ forecast, heating, station, onStation }: { forecast: Forecast; heating: boolean; station: StationName; onStation: (s: StationName) => void }) {
  return (
    <Tabs value={station} onChange={(_, s) => onStation(s as StationName)} variant="scrollable" scrollButtons={false} aria-label="Stations" sx={{ minHeight: 0, border: 1, borderColor: 'divider', bgcolor: 'background.paper', '& .MuiTabs-indicator': { height: 4 }, '& .MuiTabs-list': { display: 'flex' } }}>
      {STATIONS.map((s, i) => {
        const h = headlineOf(s, forecast);
        return (
          <Tab
            key={s} value={s} id={`tab-${s}`} aria-controls="station" wrapped disableRipple
            sx={{ flex: 1, minWidth: 92, maxWidth: 'none', alignItems: 'flex-start', textAlign: 'left', p: '7px 12px 9px', minHeight: 70, opacity: 1, borderRight: i < 6 ? 1 : 0, borderColor: 'divider', color: 'text.primary', '&.Mui-selected': { bgcolor: 'background.default', color: 'text.primary' } }}
            label={
              <Box component="span" sx={{ display: 'block', width: '100%' }}>
                <Box component="span" sx={{ display: 'flex', justifyContent: 'space-between', fontSize: 13, color: 'text.secondary' }}>
                  <span>{STATION_WORDS[s]}</span>
                  {h.trouble ? <Box component="span" sx={{ width: 22, height: 10, backgroundImage: HATCH[h.trouble], border: 1, borderColor: h.trouble === 'stop' ? 'error.main' : 'warning.main' }}><span className="unseen">{TROUBLE_WORDS[h.trouble]}</span></Box> : null}
                </Box>
                <Box component="span" data-testid={`headline-${s}`} sx={{ display: 'block', fontWeight: 600, fontSize: 19, lineHeight: 1.2, opacity: h.heat && heating ? 0.45 : 1, whiteSpace: 'nowrap' }}>{h.figure}</Box>
                <Box component="span" sx={{ display: 'block', fontSize: 12, color: 'text.secondary', lineHeight: 1.2 }}>{h.unit}</Box>
              </Box>
            }
          />
        );
      })}
    </Tabs>
  );
}
