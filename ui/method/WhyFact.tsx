'use client';
import type { ComponentProps } from 'react';
import type { Forecast } from '@/core/forecast';
import { Fact } from '../kit';
import { ToldNode } from '../kit/units';
import { WhyFigure } from './WhyFigure';

/** A figure with its name that says why it is what it is. @param path of it in the forecast */
export function WhyFact({
  forecast,
  path,
  children,
  ...fact
}: ComponentProps<typeof Fact> & { readonly forecast: Forecast; readonly path: string }) {
  return (
    <Fact {...fact}>
      <WhyFigure forecast={forecast} path={path} source={fact.source === 'default' ? undefined : fact.source}>
        <ToldNode>{children}</ToldNode>
      </WhyFigure>
    </Fact>
  );
}
