'use client';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import { problemsOf } from '@/core/plan';
import { KeepDialog } from '../kit';

/** A dialog that keeps a draft once its schema is content, and says everything that is wrong until then. */
export function FormDialog<T>({
  title,
  schema,
  draft,
  onClose,
  onKeep,
  children,
}: {
  title: string;
  schema: z.ZodType<T>;
  draft: unknown;
  onClose: () => void;
  onKeep: (t: T) => Promise<void>;
  children: ReactNode;
}) {
  const keep = async () => {
    const made = schema.safeParse(draft);
    if (!made.success) return problemsOf(made.error).map((p) => p.sentence);
    await onKeep(made.data);
    return [];
  };
  return (
    <KeepDialog title={title} onClose={onClose} onKeep={keep}>
      {children}
    </KeepDialog>
  );
}
