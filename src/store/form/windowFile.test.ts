import 'reflect-metadata';
import { demoSite } from '../site/demoSite';
import { placeOfFile, windowOfFile, writePlace, writeWindow } from './WindowFile';

test('a place is written in degrees and read back in radians', () => {
  expect(writePlace({ latitude: Math.PI / 4, longitude: -Math.PI / 6 })).toEqual({ latitude_deg: 45, longitude_deg: -30 });
  const back = placeOfFile({ latitude_deg: 54, longitude_deg: -3 });
  expect(back.latitude).toBeWithin(0.942478, { absolute: 1e-6 });
  expect(back.longitude).toBeWithin(-0.0523599, { absolute: 1e-6 });
});

test('windows are read back as they were written, horizon, blinds and readings with them', () => {
  for (const window of demoSite('en-GB').windows) {
    const back = windowOfFile(writeWindow(window));
    expect(back).toEqual(window);
    expect(writeWindow(window).facing_deg).toBeWithin((window.facing * 180) / Math.PI, { absolute: 1e-6 });
  }
});
