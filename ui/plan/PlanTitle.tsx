'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  BinMark,
  CopyMark,
  IconPress,
  makeOnce,
  PastMark,
  PairMark,
  TryMark,
  CardMark,
  Press,
  RedoMark,
  request,
  UndoMark,
  WordsField,
  sentenceOf,
  Spoken,
} from '../kit';
import look from './title.module.css';
import type { StoredPlanDoc } from './documentState';
import type { PlanDocument } from './usePlanDocument';

const SAVE_WORDS = {
  saved: 'Saved',
  typing: 'Enter takes it',
  saving: 'Saving',
  waiting: 'Kept on this device',
  stale: 'Not saved: changed elsewhere',
  refused: 'Not saved',
} as const;

const nameTrouble = (name: string): string | undefined =>
  name === ''
    ? 'Give the plan a name; the last one is kept until you do.'
    : name.length > 200
      ? 'Keep the name under 200 letters.'
      : undefined;

/** Name, undo and redo, earlier versions, copy, delete, and start a batch. */
export function PlanTitle({
  id,
  doc,
  familyName,
  canCook,
  onError,
}: {
  id: string;
  doc: PlanDocument;
  familyName: string;
  canCook: boolean;
  onError: (sentence: string) => void;
}) {
  const router = useRouter();
  const [starting, setStarting] = useState(false);
  const act = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (e) {
      onError(sentenceOf(e, 'That did not work; try again.'));
    }
  };
  const cook = () =>
    void act(async () => {
      setStarting(true);
      try {
        if (!(await doc.save()))
          throw new Spoken('The plan is not saved yet, so it would be cooked as it was before; settle that first.');
        const batch = await makeOnce<{ id: string }>('/api/batches', { planId: id });
        router.push(`/batches/${batch.id}/stove`);
      } finally {
        setStarting(false);
      }
    });
  return (
    <div className={look.title}>
      <h1 className="unseen">{doc.plan.name}</h1>
      <div className={look.name}>
        <WordsField
          as="bare"
          label="Name of the plan"
          value={doc.plan.name}
          wrong={nameTrouble}
          width="100%"
          onTake={(name) => doc.edit('name', (p) => ({ ...p, name }))}
        />
      </div>
      <span className={look.about}>
        <span className={look.family}>{`${familyName} · `}</span>
        <span data-testid="save-state">{SAVE_WORDS[doc.saveState]}</span>
      </span>
      <span className={look.acts}>
        <IconPress label="Undo" disabled={!doc.canUndo} onClick={doc.undo}>
          <UndoMark />
        </IconPress>
        <IconPress label="Redo" disabled={!doc.canRedo} onClick={doc.redo}>
          <RedoMark />
        </IconPress>
        <IconPress label="Earlier versions" href={`/plans/${id}/versions`}>
          <PastMark />
        </IconPress>
        <IconPress label="Side by side" href={`/plans/${id}/compare`}>
          <PairMark />
        </IconPress>
        <IconPress label="Try a change" href={`/plans/${id}/try`}>
          <TryMark />
        </IconPress>
        <IconPress label="Print" href={`/plans/${id}/card`}>
          <CardMark />
        </IconPress>
        <IconPress
          label="Copy this plan"
          onClick={() =>
            void act(async () => {
              const copy = await makeOnce<StoredPlanDoc>('/api/plans', {
                ...doc.plan,
                name: `${doc.plan.name.slice(0, 190)}, copy`,
              });
              router.push(`/plans/${copy.id}`);
            })
          }
        >
          <CopyMark />
        </IconPress>
        <IconPress
          label="Delete this plan"
          onClick={() =>
            void act(async () => {
              await request(`/api/plans/${id}`, 'DELETE');
              router.push(`/?deleted=${id}`);
            })
          }
        >
          <BinMark />
        </IconPress>
      </span>
      <Press main disabled={!canCook || starting} onClick={cook}>
        Cook this
      </Press>
    </div>
  );
}
