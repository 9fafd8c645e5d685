'use client';
import { useEffect, useMemo, useRef } from 'react';
import type { Forecast } from '@/core/forecast';
import { cakeAt, lifeOf, momentOf } from '@/core/work/timeline';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { IconPress, PauseMark, PlayMark, useKeys } from '../kit';
import { Stage } from '../stage/Stage';
import type { StationName } from './headline';
import { LifeLine } from './LifeLine';
import { useNeedle } from './useNeedle';
import look from './band.module.css';

/** The stage and the life line under it, on one clock: the needle says when, the stage shows the cake then. */
export function StageAndLife({
  plan,
  forecast,
  kitchen,
  heating,
  station,
  onStation,
  edit,
}: {
  plan: Plan;
  forecast: Forecast;
  kitchen: Kitchen;
  heating: boolean;
  station: StationName;
  onStation: (s: StationName) => void;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const life = useMemo(() => lifeOf(forecast), [forecast]);
  const { atS, onAt, playing, play } = useNeedle(life);
  const state = cakeAt(life, forecast, atS);
  const open = (s: StationName) => {
    onStation(s);
    onAt(momentOf(life, s));
  };
  const opened = useRef(open);
  useEffect(() => {
    opened.current = open;
  });
  useKeys(
    useMemo(
      () => ({
        Space: play,
        ...Object.fromEntries(life.segments.map((s, i) => [String(i + 1), () => opened.current(s.station)])),
      }),
      [play, life],
    ),
  );
  return (
    <div className={look.band} data-band>
      {state ? (
        <Stage
          plan={plan}
          forecast={forecast}
          kitchen={kitchen}
          life={life}
          atS={atS}
          state={state}
          heating={heating}
          edit={edit}
        >
          <IconPress label={playing ? 'Stop' : 'Play'} onClick={play}>
            {playing ? <PauseMark /> : <PlayMark />}
          </IconPress>
        </Stage>
      ) : null}
      <LifeLine
        forecast={forecast}
        life={life}
        heating={heating}
        station={station}
        onStation={open}
        atS={atS}
        onAt={onAt}
        onPlay={play}
        edit={edit}
      />
    </div>
  );
}
