import { lightOf, formula } from '../../testing/made';
import { eventSchema } from './events';
import { signsFor } from './signs';

const signs = (id: string) => signsFor(lightOf(formula(id)).flow.nodes);

test('only what this work can have left in the cake is offered', () => {
  expect(signs('rainbow-layers')).toEqual(expect.arrayContaining(['layers part', 'layers bleed', 'puddle on top']));
  expect(signs('radish-slab')).not.toContain('layers part');
  expect(signs('radish-slab')).toContain('crumbles when cut');
  expect(signs('yeast-sponge')).toContain('dense');
  expect(signs('stirred-set-pudding')).not.toContain('puddle on top');
});

test('a sign is kept with the tasting, and a tasting of before signs is one without', () => {
  const tasted = { kind: 'tasted', overall: 4, axes: {}, note: '' };
  expect(eventSchema.parse({ ...tasted, sign: 'dense' })).toMatchObject({ sign: 'dense' });
  expect(eventSchema.parse(tasted)).not.toHaveProperty('sign');
});
