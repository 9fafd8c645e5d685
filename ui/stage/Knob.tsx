import look from './stage.module.css';

const FINGER = 14;

/** What of a drawing is taken hold of: a rounded piece of paper, and room for a finger round it. @param width of the piece, drawing units */
export const Knob = ({ x, y, width }: { x: number; y: number; width: number }) => (
  <>
    <rect x={x - width / 2 - FINGER} y={y - 22} width={width + 2 * FINGER} height="44" fill="transparent" />
    <rect
      className={look.ring}
      x={x - width / 2}
      y={y - 11}
      width={width}
      height="22"
      rx="11"
      fill="var(--paper)"
      stroke="var(--ink)"
      strokeWidth="2"
    />
  </>
);
