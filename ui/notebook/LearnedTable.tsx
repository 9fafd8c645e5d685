import { Paper, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { familyOf } from '@/core/families';
import type { EffectKind, Kitchen } from '@/core/kitchen';
import type { learnedEffects } from '@/core/work/notebook';
import { plural } from '@/core/units';

const KIND_WORDS: Readonly<Record<EffectKind, string>> = {
  steamer: 'Steamers',
  heat: 'Heats in them',
  family: 'Kinds of cake',
  plan: 'Plans',
};

/** Whose effect it is, in words. */
function named(kind: EffectKind, key: string, kitchen: Kitchen): string {
  const family = (id: string) => {
    const f = familyOf(id);
    return f.ok ? f.value.name : id;
  };
  const steamer = (id: string) => kitchen.steamers.find((s) => s.id === id)?.name ?? 'a steamer that is gone';
  const space = key.indexOf(' ');
  switch (kind) {
    case 'steamer':
      return steamer(key);
    case 'heat':
      return `${steamer(key.slice(0, key.lastIndexOf(' ')))}, ${key.slice(key.lastIndexOf(' ') + 1)}`;
    case 'family':
      return family(key);
    case 'plan':
      return key.slice(space + 1);
  }
}

/** More or less time in words: "8 % longer". */
const sayFactor = (f: number): string => {
  const pct = Math.round(Math.abs(f - 1) * 100);
  return pct === 0 ? 'as the model says' : `${pct} % ${f > 1 ? 'longer' : 'shorter'}`;
};

/** What is learned of each steamer, heat, kind of cake and plan, with how sure it is and from how many batches. */
export function LearnedTable({
  kitchen,
  effects,
  forgot,
}: {
  kitchen: Kitchen;
  effects: ReturnType<typeof learnedEffects>;
  forgot: boolean;
}) {
  return (
    <Paper sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Learned factors">
        <TableHead>
          <TableRow>
            <TableCell>What</TableCell>
            <TableCell>Factor</TableCell>
            <TableCell align="right">From</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {effects.length === 0 ? (
            <TableRow>
              <TableCell colSpan={3}>
                {forgot
                  ? 'Nothing that counts: what was learned is forgotten.'
                  : 'Nothing yet. It begins with the first finished batch that was checked at the stove.'}
              </TableCell>
            </TableRow>
          ) : null}
          {(Object.keys(KIND_WORDS) as EffectKind[]).flatMap((kind) => {
            const own = effects.filter((e) => e.kind === kind);
            return own.length === 0
              ? []
              : [
                  <TableRow key={kind}>
                    <TableCell colSpan={3} sx={{ fontWeight: 600, color: 'text.secondary', borderBottom: 0, pt: 1.5 }}>
                      {KIND_WORDS[kind]}
                    </TableCell>
                  </TableRow>,
                  ...own.map((e) => (
                    <TableRow key={`${kind} ${e.key}`}>
                      <TableCell component="th" scope="row" sx={{ overflowWrap: 'anywhere' }}>
                        {named(kind, e.key, kitchen)}
                        <Typography variant="body2" color="text.secondary">
                          {sayFactor(e.factor)}
                        </Typography>
                      </TableCell>
                      <TableCell sx={{ whiteSpace: 'nowrap' }}>
                        <strong>{e.factor.toFixed(2)}</strong>
                        <Typography variant="body2" color="text.secondary">
                          {e.low.toFixed(2)} to {e.high.toFixed(2)}
                        </Typography>
                      </TableCell>
                      <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                        {plural(e.batches, 'batch', 'batches')}
                      </TableCell>
                    </TableRow>
                  )),
                ];
          })}
        </TableBody>
      </Table>
    </Paper>
  );
}
