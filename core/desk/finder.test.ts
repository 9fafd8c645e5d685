import { findIn, findIndex } from './finder';

const index = findIndex([
  { id: 'a', name: 'Wednesday radish slab', also: ['Radish slab'] },
  { id: 'b', name: 'Radish' },
  { id: 'c', name: 'White radish, raw', also: ['daikon', 'củ cải trắng'] },
  { id: 'd', name: 'Paradise cups' },
]);
const ids = (text: string) => findIn(index, text, 9).map((f) => f.id);

test('the whole name first, then words, then letters inside a name; other names and signs count', () => {
  expect(ids('radish')).toEqual(['b', 'a', 'c']);
  expect(ids('rad')).toEqual(['b', 'a', 'c', 'd']);
  expect(ids('cu cai')).toEqual(['c']);
  expect(ids('DAIKON')).toEqual(['c']);
  expect(ids('slab wed')).toEqual(['a']);
  expect(ids('zzz')).toEqual([]);
  expect(ids('')).toEqual(['a', 'b', 'c', 'd']);
});
test('with a thousand plans and three thousand notes an answer takes under 30 ms of the processor', () => {
  const words = ['Regatta', 'Wednesday', 'Boathouse', 'radish', 'coconut', 'slab', 'cups', 'layers', 'supper'];
  const many = findIndex(
    Array.from({ length: 4000 }, (_, i) => ({
      id: String(i),
      name: `${words[i % 9]} ${words[(i * 7) % 9]} ${words[(i * 5) % 9]} ${i}`,
      also: ['Radish slab'],
    })),
  );
  const took = ['r', 'ra', 'radish 12', 'wed supper', 'nothing'].map((text) => {
    const best = Array.from({ length: 4 }, () => {
      // The processor's own time: what else the machine does meanwhile is not the finder's.
      const from = process.cpuUsage();
      for (let n = 0; n < 5; n++) findIn(many, text, 8);
      const { user, system } = process.cpuUsage(from);
      return (user + system) / 1000 / 5;
    });
    return Math.min(...best);
  });
  expect(Math.max(...took)).toBeLessThan(30);
});
