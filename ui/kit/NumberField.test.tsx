/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { FAMILIES, formulaOf } from '@/core/families';
import { emptyKitchen } from '@/core/kitchen';
import { INGREDIENT_TABLE } from '@/core/larder';
import { METRIC } from '@/core/units';
import { KitchenContext, type KitchenHand } from '../kitchen/useKitchen';
import { AmountCell } from '../lines/AmountCell';
import { NumberField, type NumberFieldProps } from './NumberField';
import { HistoryBench } from './testing/HistoryBench';
import { UnitsProvider } from './units';
import { WordsField } from './WordsField';

afterEach(cleanup);
const field = (name = 'Salt') => screen.getByLabelText<HTMLInputElement>(name);
/** Types into a field as a cook does: the letters one after another, each on what is there. */
function type(text: string, name = 'Salt') {
  const f = field(name);
  act(() => f.focus());
  for (let i = 1; i <= text.length; i++) fireEvent.change(f, { target: { value: text.slice(0, i) } });
}
const press = (key: string, more: object = {}, name = 'Salt') => fireEvent.keyDown(field(name), { key, ...more });
const leave = (name = 'Salt') => act(() => field(name).blur());

/** A plan with one number, its history, and a field for it. */
const Bench = ({ onKept, ...rest }: Partial<NumberFieldProps> & { onKept: (n: number) => void }) => (
  <HistoryBench
    start={formulaOf(FAMILIES[0])}
    onKept={(c) => onKept(c.guests ?? NaN)}
    Fields={({ plan, kept, edit }) => (
      <>
        <NumberField
          label="Salt"
          value={plan.guests}
          min={0}
          max={5000}
          onChange={(guests) => edit({ guests })}
          {...rest}
        />
        <output>{`${plan.guests} shown, ${kept.guests} kept`}</output>
      </>
    )}
  />
);
const bench = (more: Partial<NumberFieldProps> = {}) => {
  const kept: number[] = [];
  render(<Bench onKept={(n) => kept.push(n)} {...more} />);
  return { kept, told: () => screen.getByRole('status').textContent };
};

describe('a number', () => {
  test('is shown as it is typed and taken once it is left', () => {
    const { kept, told } = bench();
    type('125');
    expect(told()).toBe('125 shown, 8 kept');
    leave();
    expect([kept, told()]).toEqual([[125], '125 shown, 125 kept']);
  });
  test('is taken on Enter, and only once', () => {
    const { kept } = bench();
    type('42');
    press('Enter');
    leave();
    expect(kept).toEqual([42]);
  });
  test('Escape and undo in the field put back what stood there', () => {
    for (const [key, more] of [
      ['Escape', {}],
      ['z', { ctrlKey: true }],
      ['z', { metaKey: true }],
    ] as const) {
      const { kept, told } = bench();
      type('99');
      press(key, more);
      expect([field().value, told()]).toEqual(['8', '8 shown, 8 kept']);
      leave();
      expect(kept).toEqual([]);
      cleanup();
    }
  });
  test('left as it was it changes nothing, however much it is rounded', () => {
    const kept: number[] = [];
    render(<NumberField label="Salt" value={195.4372} decimals={0} onChange={(n) => kept.push(n)} />);
    act(() => field().focus());
    leave();
    type('19');
    type('195');
    leave();
    expect([kept, field().value]).toEqual([[], '195']);
  });
  test('with a comma before three figures it is asked about, never guessed; the answer is taken', () => {
    const { kept, told } = bench();
    type('1,250');
    expect(told()).toBe('8 shown, 8 kept');
    leave();
    expect(kept).toEqual([]);
    expect(screen.getByText(/could be 1.25 or 1250/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: '1250' }));
    expect([kept, field().value]).toEqual([[1250], '1250']);
  });
  test('in the ways cooks of many countries write it', () => {
    for (const [text, n] of [
      ['0,5', 0.5],
      ['1.5', 1.5],
      ['1 1/2', 1.5],
      ['½', 0.5],
      ['1.250,5', 1250.5],
      ['1 250', 1250],
      ['１２', 12],
    ] as const) {
      const { kept } = bench();
      type(text);
      leave();
      expect([text, kept]).toEqual([text, [n]]);
      cleanup();
    }
  });
  test('that makes no sense stays on screen with why, and nothing changes', () => {
    const { kept, told } = bench();
    type('lots');
    leave();
    expect([field().value, told(), kept]).toEqual(['lots', '8 shown, 8 kept', []]);
    expect(screen.getByText(/is not a number/)).toBeTruthy();
    type('-3');
    leave();
    expect(screen.getByText('Salt cannot be below zero.')).toBeTruthy();
    type('7');
    leave();
    expect(kept).toEqual([7]);
  });
  test('follows undo while it has the focus', () => {
    const { told } = bench();
    type('60');
    press('Enter');
    expect(document.activeElement).toBe(field());
    fireEvent.click(screen.getByRole('button', { name: 'undo' }));
    expect([field().value, told()]).toEqual(['8', '8 shown, 8 kept']);
  });
  test('is taken when its field goes away under the fingers', () => {
    const kept: number[] = [];
    const { unmount } = render(<NumberField label="Salt" value={1} onChange={(n) => kept.push(n)} />);
    type('31');
    unmount();
    expect(kept).toEqual([31]);
  });
  test('that is settled is not shown before it is taken, and one that may be empty is cleared', () => {
    const { kept, told } = bench({ settled: true });
    type('33');
    expect(told()).toBe('8 shown, 8 kept');
    leave();
    expect(kept).toEqual([33]);
    cleanup();
    const cleared = jest.fn();
    render(<NumberField label="Salt" value={5} onChange={() => undefined} onClear={cleared} />);
    act(() => field().focus());
    fireEvent.change(field(), { target: { value: '' } });
    expect(cleared).not.toHaveBeenCalled();
    leave();
    expect(cleared).toHaveBeenCalledTimes(1);
  });
  test('keeps its unit while it is typed, even where the kitchen’s changes meanwhile', () => {
    const kept: number[] = [];
    function Kitchen() {
      const [oz, setOz] = useState(false);
      return (
        <UnitsProvider units={{ ...METRIC, mass: oz ? 'oz' : 'g' }}>
          <NumberField label="Salt" unit="g" value={100} onChange={(n) => kept.push(n)} />
          <button onClick={() => setOz(true)}>ounces</button>
        </UnitsProvider>
      );
    }
    render(<Kitchen />);
    type('250');
    fireEvent.click(screen.getByRole('button', { name: 'ounces' }));
    leave();
    expect(kept).toEqual([250]);
    expect(field().value).toBe('3.53');
  });
});

describe('an amount in cups', () => {
  const flour = INGREDIENT_TABLE.find((i) => i.id === 'rice-flour-fine');
  if (!flour) throw new Error('no flour');
  function Cell({ onKept }: { onKept: (g: number) => void }) {
    const [massG, setMassG] = useState(280);
    const hand = { kitchen: emptyKitchen(), keepSettings: async () => true } as unknown as KitchenHand;
    return (
      <KitchenContext value={hand}>
        <AmountCell
          ingredient={flour}
          name="flour"
          massG={massG}
          onChange={(g) => {
            onKept(g);
            setMassG(g);
          }}
        />
      </KitchenContext>
    );
  }
  test('typed key by key, half a cup is half a cup: the unit does not turn to spoons under the fingers', () => {
    localStorage.setItem('idle-ladle/measure', 'cups');
    const kept: number[] = [];
    render(<Cell onKept={(g) => kept.push(g)} />);
    const cupG = 250 * flour.bulkDensityGPerMl;
    type('0.5', 'Amount of flour');
    expect(screen.getByText('cup')).toBeTruthy();
    leave('Amount of flour');
    expect(kept).toHaveLength(1);
    expect(kept[0] / cupG).toBeCloseTo(0.5, 2);
    type('2', 'Amount of flour');
    leave('Amount of flour');
    expect(kept[1] / cupG).toBeCloseTo(2, 2);
    localStorage.clear();
  });
});

test('words are taken when they are left or on Enter, put back by Escape, and kept from being empty', () => {
  const taken: string[] = [];
  function Named() {
    const [name, setName] = useState('Slab');
    return (
      <WordsField
        label="Name"
        value={name}
        wrong={(t) => (t === '' ? 'Give it a name.' : undefined)}
        onTake={(t) => {
          taken.push(t);
          setName(t);
        }}
      />
    );
  }
  render(<Named />);
  type('Radish ', 'Name');
  press('Enter', {}, 'Name');
  type('Other', 'Name');
  press('Escape', {}, 'Name');
  leave('Name');
  expect([taken, field('Name').value]).toEqual([['Radish'], 'Radish']);
  act(() => field('Name').focus());
  fireEvent.change(field('Name'), { target: { value: ' ' } });
  leave('Name');
  expect(screen.getByText('Give it a name.')).toBeTruthy();
  expect(taken).toEqual(['Radish']);
});
