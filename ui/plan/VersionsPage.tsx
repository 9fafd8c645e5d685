'use client';
import { there } from '@/core/units';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { Box, Button, Paper, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import type { Versions } from '@/server/versions';
import { LocalTime, request, Say, sentenceOf, Told } from '../kit';

const SHOWN = 40;

/** The versions of a plan that are kept, what each changed, and the way back to one of them: it becomes the newest, and nothing is lost. */
export function VersionsPage({ versions }: { versions: Versions }) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const [shown, setShown] = useState(SHOWN);
  const putBack = async (version: number) => {
    setBusy(true);
    try {
      await request(`/api/plans/${versions.id}/versions/${version}`, 'POST', { revision: versions.revision });
      router.push(`/plans/${versions.id}`);
    } catch (e) {
      setTrouble(sentenceOf(e));
      router.refresh();
      setBusy(false);
    }
  };
  return (
    <Box sx={{ maxWidth: 900 }}>
      <Stack direction="row" spacing={2} useFlexGap sx={{ my: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1">Earlier versions</Typography>
        <Box sx={{ flex: 1 }} />
        <Button component={NextLink} href={`/plans/${versions.id}`} variant="outlined">
          Back to the plan
        </Button>
      </Stack>
      <Typography color="text.secondary" gutterBottom>
        The last ten minutes are kept whole; of older ones, one in five minutes, then one a day, then one a week, and
        every one that was cooked from.
      </Typography>
      <div role="alert">{trouble ? <Say tone="stop">{trouble}</Say> : null}</div>
      <Paper component="ol" aria-label="Versions" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {versions.lines.slice(0, shown).map((v, i) => (
          <Box
            component="li"
            key={v.version}
            sx={{
              display: 'flex',
              gap: 2,
              p: 1.5,
              borderTop: i === 0 ? 0 : 1,
              borderColor: 'divider',
              alignItems: 'flex-start',
            }}
          >
            <Typography variant="body2" color="text.secondary" sx={{ width: 104, flex: 'none' }}>
              <LocalTime at={v.at} as="moment" />
            </Typography>
            <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
              {v.problems.length > 0 ? (
                <Say tone="stop">Cannot be read: {there(v.problems[0]).sentence}</Say>
              ) : v.changes.length > 0 ? (
                <Typography>
                  <Told>{`${v.changes.join(' · ')}`}</Told>
                </Typography>
              ) : (
                <Typography>{v.first ? 'As it was begun' : 'Nothing that is told'}</Typography>
              )}
              {v.refused ? (
                <Typography variant="body2" color="text.secondary">
                  Came too late from another window, and was put aside.
                </Typography>
              ) : null}
            </Box>
            {!v.refused && v.revision === versions.revision && versions.readable ? (
              <Typography variant="body2" sx={{ flex: 'none' }}>
                as it is now
              </Typography>
            ) : (
              <Button
                disabled={busy || v.problems.length > 0}
                sx={{ flex: 'none' }}
                onClick={() => void putBack(v.version)}
              >
                Make it the newest
              </Button>
            )}
          </Box>
        ))}
      </Paper>
      {versions.lines.length > shown ? (
        <Button sx={{ mt: 1 }} onClick={() => setShown((n) => n + SHOWN)}>
          Show more of {versions.lines.length}
        </Button>
      ) : null}
    </Box>
  );
}
