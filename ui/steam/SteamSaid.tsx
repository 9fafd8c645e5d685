import { chooseSchool, readingAt, withReading, type SchoolQuestion } from '@/core/plan';
import { inUnits } from '@/core/units';
import { SaidChoice, SaidLine, SaidNumber, useUnits } from '../kit';
import type { StationProps } from '../plan/StationProps';

const QUESTIONS: readonly { q: SchoolQuestion; words: string }[] = [{ q: 'intoPan', words: 'Batter into the pan' }];

/** What is asked of the steaming besides the heat; nothing where nothing is. */
export function SteamSaid({ plan, forecast, edit }: Pick<StationProps, 'plan' | 'forecast' | 'edit'>) {
  const units = useUnits();
  const { light } = forecast;
  const pouredAt = { node: light.pour.node, slot: 'tempC' };
  // Where the step that pours asks for it itself, it is not asked twice.
  const asksHeat = forecast.steps.some(
    (s) => s.id === pouredAt.node && s.answers?.some((a) => a.kind === 'read' && a.slot === pouredAt.slot),
  );
  const pressed = light.resolved.steamer.pressureTempC !== undefined;
  const asked = QUESTIONS.filter(({ q }) => light.family.schools[q]);
  if (asked.length === 0 && !pressed && asksHeat) return null;
  return (
    <SaidLine>
      {asked.map(({ q, words }) => (
        <span key={q}>
          {words}:{' '}
          <SaidChoice
            label={words}
            value={light.resolved.plan.schools[q] ?? ''}
            options={(light.family.schools[q]?.options ?? []).map((o) => ({
              value: o.id,
              words: o.words.toLowerCase(),
              hint: o.differs,
            }))}
            onChange={(v) => edit(`school.${q}`, (p) => chooseSchool(p, q, v))}
          />
          .{' '}
        </span>
      ))}
      {pressed ? (
        <>
          Pressure is let go{' '}
          <SaidChoice
            label="Pressure is let go"
            value={plan.pressureRelease}
            options={[
              { value: 'slow', words: 'on its own' },
              { value: 'quick', words: 'at once', hint: 'A batter may boil up: leave room over it.' },
            ]}
            onChange={(pressureRelease) => edit('pressureRelease', (p) => ({ ...p, pressureRelease }))}
          />
          .{' '}
        </>
      ) : null}
      {asksHeat ? null : (
        <>
          Batter poured at{' '}
          <SaidNumber
            label="Batter poured at"
            value={readingAt(plan, pouredAt)}
            min={0}
            max={100}
            unit="°C"
            source="measured"
            instead={inUnits(String(Math.round(light.pour.startC.value)), units)}
            onChange={(tempC) => edit('pourC', (p) => withReading(p, pouredAt, tempC))}
            onClear={() => edit('pourC', (p) => withReading(p, pouredAt, undefined))}
          />
          {readingAt(plan, pouredAt) === undefined ? ', as computed.' : ', as you measured.'}
        </>
      )}
    </SaidLine>
  );
}
