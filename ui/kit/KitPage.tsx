'use client';
import { useState, type ReactNode } from 'react';
import { Choice } from './Choice';
import { Fact } from './Fact';
import type { FieldLook, Source } from './Field';
import { IconPress } from './IconPress';
import { CrossMark, PlayMark, PlusMark, UndoMark } from './marks';
import { More } from './More';
import { NumberField } from './NumberField';
import { LinkPress, Press } from './Press';
import { Column, Facts, Row, SaidLine, Soft } from './Rows';
import { Say } from './Say';
import { Toggle } from './Toggle';
import { WordsField } from './WordsField';

const SOURCES: readonly Source[] = ['entered', 'computed', 'measured', 'learned'];
const LOOKS: readonly FieldLook[] = ['field', 'bare'];
const HEATS = ['gentle', 'medium', 'strong'].map((h) => ({ value: h, words: h }));
const SIZES = ['small', 'text', 'said', 'figure', 'title'] as const;

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section aria-label={name} style={{ padding: '16px 0', borderTop: '1px solid var(--line)' }}>
      <h2 style={{ margin: '0 0 8px', fontSize: 'var(--type-text)' }}>{name}</h2>
      {children}
    </section>
  );
}

/** Every small component of ours with its states; there while the application is worked on, not in what is served. */
export function KitPage() {
  const [n, setN] = useState<number | undefined>(226);
  const [heat, setHeat] = useState('medium');
  const [words, setWords] = useState('Wednesday radish slab');
  const [show, setShow] = useState('heat');
  const number = (as: FieldLook, source: Source) => (
    <NumberField
      key={as + source}
      as={as}
      label={`Rice flour, ${source}`}
      source={source}
      value={n}
      min={0}
      max={5000}
      unit="g"
      onChange={setN}
      onClear={() => setN(undefined)}
      instead="240"
    />
  );
  return (
    <Column>
      <h1 className="title">Components and their states</h1>
      <Part name="Type">
        {SIZES.map((s) => (
          <div key={s} style={{ fontSize: `var(--type-${s})` }}>
            {s}: 1234567890, Grate 1050 g of white radish
          </div>
        ))}
      </Part>
      <Part name="Numbers, by where they come from">
        {LOOKS.map((as) => (
          <Row key={as}>{SOURCES.map((source) => number(as, source))}</Row>
        ))}
        <SaidLine>
          Whisk{' '}
          {SOURCES.map((s) => (
            <span key={s}>
              {number('said', s)} {s}{' '}
            </span>
          ))}{' '}
          together.
        </SaidLine>
        <Row>
          <NumberField
            label="Too little of it"
            value={1}
            min={5}
            max={9}
            unit="mm"
            helper="type 2 and it says why not"
            onChange={() => undefined}
          />
          <NumberField label="With a helper" value={5} unit="min" helper="the usual" onChange={() => undefined} />
          <NumberField
            label="Nothing entered"
            value={undefined}
            unit="ml"
            instead="7125"
            onChange={() => undefined}
            onClear={() => undefined}
          />
        </Row>
      </Part>
      <Part name="Choices">
        <Row>
          <Choice label="Heat" value={heat} options={HEATS} onChange={setHeat} />
          <Choice as="bare" label="Heat, bare" value={heat} options={HEATS} onChange={setHeat} />
        </Row>
        <SaidLine>
          Steam on <Choice as="said" label="Heat, said" value={heat} options={HEATS} onChange={setHeat} /> heat.
        </SaidLine>
        <Toggle
          label="Shown"
          value={show}
          options={[
            { value: 'heat', words: 'Heat' },
            { value: 'set', words: 'Set' },
          ]}
          onChange={setShow}
        />
      </Part>
      <Part name="Words">
        <Row>
          <WordsField
            label="Name"
            value={words}
            onTake={setWords}
            wrong={(t) => (t === '' ? 'Give it a name.' : undefined)}
            width={260}
          />
          <WordsField label="Notes" rows={2} value={words} onTake={setWords} width={260} />
        </Row>
      </Part>
      <Part name="Presses">
        <Row>
          <Press main>Cook this</Press>
          <Press>Save the cut lines</Press>
          <Press quiet>Leave whole</Press>
          <Press quiet fix>
            7 layers
          </Press>
          <Press disabled>Not now</Press>
          <LinkPress href="/">Back to the galley</LinkPress>
          <IconPress label="Undo">
            <UndoMark />
          </IconPress>
          <IconPress label="Play">
            <PlayMark />
          </IconPress>
          <IconPress label="Put away" disabled>
            <CrossMark />
          </IconPress>
          <IconPress label="Add">
            <PlusMark />
          </IconPress>
        </Row>
        <More
          label="What opens"
          of={[
            { name: 'Blend', draw: () => <Soft>What it holds is fetched when it is opened.</Soft> },
            { name: 'Water', draw: () => <Soft>One at a time.</Soft> },
          ]}
        />
      </Part>
      <Part name="What is told">
        <Say tone="ready">It fits, at a usual depth.</Say>
        <Say tone="watch">Steam burns: open the lid away from you.</Say>
        <Say tone="stop">It runs over by 4 mm.</Say>
        <Say>A serrated blade, wetted.</Say>
        <Facts>
          <Fact name="Depth" note="usual 25 to 40 mm">
            29 mm
          </Fact>
          <Fact name="Steam power" source="measured">
            1.62 kW
          </Fact>
        </Facts>
      </Part>
    </Column>
  );
}
