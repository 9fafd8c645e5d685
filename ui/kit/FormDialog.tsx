'use client';
import { zodResolver } from '@hookform/resolvers/zod';
import type { ReactNode } from 'react';
import { FormProvider, useForm, type DefaultValues, type FieldValues, type Resolver } from 'react-hook-form';
import { z } from 'zod';
import { problemsOf } from '@/core/plan';
import { KeepDialog, type NotKept } from './KeepDialog';

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
  const form = useForm<V, unknown, T & FieldValues>({
    defaultValues: values as DefaultValues<V>,
    resolver: zodResolver(made as never) as unknown as Resolver<V, unknown, T & FieldValues>,
  });
  const keep = async (over: number | undefined): Promise<NotKept | undefined> => {
    let not: NotKept | undefined;
    await form.handleSubmit(
      (t) => onKeep(t as T, over),
      () => {
        const read = schema.safeParse(thingOf(form.getValues()));
        not = { sentences: read.success ? [] : problemsOf(read.error).map((p) => p.sentence) };
      },
    )();
    return not;
  };
  return (
    <KeepDialog title={title} keepWords={keepWords} onClose={onClose} onKeep={keep}>
      <FormProvider {...(form as unknown as Parameters<typeof FormProvider>[0])}>{children}</FormProvider>
    </KeepDialog>
  );
}
