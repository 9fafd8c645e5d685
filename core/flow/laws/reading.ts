import { figure } from '../../units';
import type { LawInput } from '../law';
import { setDegreeOf, viscosityOf } from '../look';
import type { Operation } from '../operations';
import { atTemp, type Stream } from '../stream';

type Any = LawInput<Operation>;

/** How thick, how warm and how far set a stream is, as figures. */
export const thicknessFigures = (x: Any, s: Stream) => {
  const eta = viscosityOf(x.lines, s);
  return {
    ...(eta === undefined ? {} : { viscosityMPas: figure(eta, 'default', 0.4 * eta) }),
    tempC: figure(s.tempC, 'default', 3),
    set: figure(setDegreeOf(x.lines, s)),
  };
};

/** A measured temperature replaces the computed one from here on. */
export const asRead = (x: Any, s: Stream): Stream => {
  const read = x.read('tempC', -5, 105, '°C');
  return read === undefined ? s : atTemp(s, read);
};
