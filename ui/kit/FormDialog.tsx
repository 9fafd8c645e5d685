'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import { Button } from '@mui/material';
import equal from 'fast-deep-equal';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { FormProvider, useForm, type DefaultValues, type FieldValues, type Resolver } from 'react-hook-form';
import { z } from 'zod';
import { problemsOf } from '@/core/plan';
import { KeepDialog, type Left, type NotKept } from './KeepDialog';
import { Say } from './Say';
import { dropHalf, halfOf, keepHalf } from './useHalf';

const fields = z.record(z.string(), z.unknown());
const halfSchema = z.object({ from: fields, typed: fields });
/** Values with what was typed; a field that was emptied is empty. */
const typedOver = (values: object, typed: Readonly<Record<string, unknown>>): object => ({
  ...Object.fromEntries(Object.keys(values).map((k) => [k, typed[k]])),
  ...typed,
});
/** As it comes back from where it was kept. */
const plainOf = (values: unknown): unknown => JSON.parse(JSON.stringify(values)) as unknown;

/**
 * A form in a dialog that keeps a thing once its schema is content, and says everything that is wrong until then.
 * @param values what its fields begin with
 * @param thingOf what the fields say, as the thing that is kept
 */
export function FormDialog<V extends FieldValues, T>({
  title,
  keepWords,
  schema,
  values,
  thingOf,
  onClose,
  onKeep,
  children,
}: {
  title: string;
  keepWords?: string;
  schema: z.ZodType<T>;
  values: V;
  thingOf: (v: V) => unknown;
  onClose: () => void;
  onKeep: (t: T, over: number | undefined) => Promise<void>;
  children: ReactNode;
}) {
  const made = z
    .custom<V>()
    .transform(thingOf)
    .pipe(schema as z.ZodType<T, unknown>);
  const key = `form/${title}/${Object.keys(values).join(' ')}`;
  // Read once, as the dialog opens: what was half entered here before a reload, and what the fields began with then.
  const [half] = useState(() => halfSchema.safeParse(halfOf(key)).data);
  const [back, setBack] = useState(half !== undefined);
  const form = useForm<V, unknown, T & FieldValues>({
    defaultValues: (half ? typedOver(values, half.typed) : values) as DefaultValues<V>,
    resolver: zodResolver(made as never) as unknown as Resolver<V, unknown, T & FieldValues>,
  });
  const begun = useRef(values);
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true },
        callback: ({ values: typed }) => keepHalf(key, { from: begun.current, typed }),
      }),
    [form, key],
  );
  // Escape is easily pressed: what was typed is offered the next time. A press on "Leave it" is meant.
  const leave = (how: Left) => {
    if (how === 'pressed') dropHalf(key);
    onClose();
  };
  const keep = async (over: number | undefined): Promise<NotKept | undefined> => {
    let not: NotKept | undefined;
    await form.handleSubmit(
      async (t) => {
        await onKeep(t as T, over);
        dropHalf(key);
      },
      () => {
        const read = schema.safeParse(thingOf(form.getValues()));
        not = { sentences: read.success ? [] : problemsOf(read.error).map((p) => p.sentence) };
      },
    )();
    return not;
  };
  return (
    <KeepDialog title={title} keepWords={keepWords} onClose={leave} onKeep={keep}>
      {back ? (
        <Say tone="watch">
          What you had typed is back
          {half && !equal(half.from, plainOf(values)) ? ', though it was changed elsewhere since' : ''}.{' '}
          <Button
            size="small"
            onClick={() => {
              form.reset(values as DefaultValues<V>);
              dropHalf(key);
              setBack(false);
            }}
          >
            Begin anew
          </Button>
        </Say>
      ) : null}
      <FormProvider {...(form as unknown as Parameters<typeof FormProvider>[0])}>{children}</FormProvider>
    </KeepDialog>
  );
}
