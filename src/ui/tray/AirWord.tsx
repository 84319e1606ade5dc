'use client';
import { ThermometerSun } from 'lucide-react';
import type { BenchTray } from '@/core/answer/stand/benchStand';
import { AIR_OFF_BY, warmerBy } from '@/core/judge/growth/airFor';
import { airLately } from '@/core/site/growth/airLately';
import { showTemperature } from '@/core/units/temperature';
import { useSettings, useToday } from '../shell/WorkspaceContext';
import { warmAirWords } from './airWords';

/** What air that is too warm does to the stems of a tray, together with its light. @param dli  its mean; null: not known yet */
export function AirWord({ tray: { batch, crop, stage }, dli }: { tray: BenchTray; dli: number | null }) {
  const today = useToday();
  const { temperatureUnit } = useSettings();
  const { low, high } = airLately(batch, today);
  const likes = crop.afterEmergence;
  const excess = likes && warmerBy({ day: high, night: low }, likes);
  if (!likes || excess === null || excess < AIR_OFF_BY) return null;
  const isNight = low !== null && low - likes.night >= excess - 1e-9;
  const temperature = (celsius: number) => showTemperature(celsius, temperatureUnit);
  return (
    <p className="flex gap-3 border-l-2 border-copper pl-3" data-testid="air-word">
      <ThermometerSun size={20} className="mt-0.5 shrink-0 text-copper" aria-hidden />
      {warmAirWords({
        when: isNight ? 'night' : 'day',
        seen: temperature(isNight ? low : high!),
        likes: temperature(isNight ? likes.night : likes.day),
        isDim: dli !== null && dli < stage.dliTarget,
      })}
    </p>
  );
}
