'use client';
import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import type * as charts from './charts';

/** Charts whose code comes when they are shown. What holds them has its height already, so that nothing moves. */
export const Line = dynamic<ComponentProps<typeof charts.Line>>(() => import('./charts').then((m) => m.Line), { ssr: false });
export const ScatterChart = dynamic<ComponentProps<typeof charts.Scatter>>(() => import('./charts').then((m) => m.Scatter), { ssr: false });
