import { z } from 'zod';
import { planSchema } from '../plan';
import { kitchenSchema } from '../kitchen';

/** The published JSON Schemas (draft 2020-12) of the open documents, as a cook's file is read: defaults may be left out. */
export const jsonSchemas = () => ({
  plan: z.toJSONSchema(planSchema, { io: 'input', unrepresentable: 'any' }),
  kitchen: z.toJSONSchema(kitchenSchema, { io: 'input', unrepresentable: 'any' }),
});
