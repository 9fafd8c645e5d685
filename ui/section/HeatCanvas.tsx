'use client';
import { useEffect, useRef } from 'react';
import type { FieldFrames } from '@/core/model/steam';
import { COLUMNS, ROWS, fieldAt, paintField } from './fieldImage';

/** The field painted into a small canvas that the drawing stretches; smooth scaling does the rest. */
export function HeatCanvas({
  frames,
  timeS,
  show,
  fromC,
  toC,
}: {
  frames: FieldFrames;
  timeS: number;
  show: 'heat' | 'set';
  fromC: number;
  toC: number;
}) {
  const ref = useRef<HTMLCanvasElement>(null);
  const { nx, nz } = frames;
  useEffect(() => {
    const context = ref.current?.getContext('2d');
    if (!context) return;
    const temp = new Float32Array(nx * nz);
    const gel = new Float32Array(nx * nz);
    fieldAt(frames, timeS, temp, gel);
    const image = context.createImageData(2 * COLUMNS, ROWS);
    paintField(image, frames, temp, gel, show, fromC, toC);
    context.putImageData(image, 0, 0);
  }, [frames, timeS, show, fromC, toC, nx, nz]);
  return (
    <canvas
      ref={ref}
      width={2 * COLUMNS}
      height={ROWS}
      aria-hidden
      style={{ width: '100%', height: '100%', display: 'block' }}
    />
  );
}
