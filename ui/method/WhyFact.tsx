'use client';
import type { ComponentProps, ReactNode } from 'react';
import type { Forecast } from '@/core/forecast';
import { Fact } from '../kit';
import { ToldNode } from '../kit/units';
import { WhyFigure } from './WhyFigure';

/** A figure with its name that says why it is what it is. @param path of it in the forecast */
export function WhyFact({
  forecast,
  path,
  learnt,
  children,
  ...fact
}: Omit<ComponentProps<typeof Fact>, 'children'> & {
  readonly forecast: Forecast;
  readonly path: string;
  /** Where it comes from, where that is not the model. */
  readonly learnt?: 'measured' | 'learned' | undefined;
  readonly children: ReactNode;
}) {
  return (
    <Fact {...fact}>
      <WhyFigure forecast={forecast} path={path} source={learnt}>
        <ToldNode>{children}</ToldNode>
      </WhyFigure>
    </Fact>
  );
}
