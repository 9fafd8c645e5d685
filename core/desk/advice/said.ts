import { named, type Advice, type Grade } from '../../stations/mix';
import { isConcern, type ConcernCode, type Problem } from '../../units';

/** Something to mind, for which nothing is proposed where it is seen. @param what its code, or its code and what it is of */
export const said = (what: ConcernCode | readonly [ConcernCode, string], grade: Grade, sentence: string): Advice => ({
  ...(typeof what === 'string' ? named(what) : named(...what)),
  grade,
  sentence,
  fixes: [],
});

/** A problem as something to mind: it cannot work so. Several of one kind are told apart by their place. */
export function ofProblem(p: Problem, all: readonly Problem[]): Advice {
  const about = all.filter((x) => x.code === p.code).length > 1 ? p.path : '';
  const own = isConcern(p.code) ? named(p.code, about) : { ...named('unreadable', about), id: p.code };
  return { ...own, grade: 'impossible', sentence: p.sentence, fixes: [] };
}
