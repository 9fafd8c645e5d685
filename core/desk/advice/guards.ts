import type { SchoolOption } from '../../families';
import type { Look } from './look.types';

/** The ways of closing a steaming that a family knows, of those named, other than the one chosen. */
export function dripGuardOptions({ light }: Look, of: readonly string[]): readonly SchoolOption[] {
  const school = light?.family.schools.dripGuard;
  if (!light || !school) return [];
  const now = light.resolved.plan.schools.dripGuard;
  return of.flatMap((id) => school.options.find((o) => o.id === id && o.id !== now) ?? []);
}
