import { plainNumber, type DeviceFigure, type DeviceValues } from '@olvet/core';
import { useEffect, useState } from 'react';
import type { DeviceView } from '../app/api';
import { stream } from '../live/stream';

/** Figures that move are read twice a second: more no eye follows. */
const SHOWN_EVERY_MS = 500;

/** In this order, with their units. */
const UNITS: [DeviceFigure, string][] = [
  ['grams', 'g'],
  ['bar', 'bar'],
  ['mlPerSecond', 'ml/s'],
  ['grind', ''],
  ['tdsPercent', '%'],
  ['celsius', '°C'],
  ['humidityPercent', '% damp'],
  ['batteryPercent', '% battery'],
];

/** The newest figures of each device, in words. */
export function useNewest(): (device: DeviceView) => string {
  const [shown, show] = useState<ReadonlyMap<string, DeviceValues>>(new Map());
  useEffect(() => {
    const newest = new Map<string, DeviceValues>();
    const ended = stream.listen((event) => {
      if (event.kind !== 'reports') return;
      const values = newest.get(event.deviceId);
      newest.set(event.deviceId, Object.assign({}, values, ...event.reports.map((report) => report.values)));
    });
    const showing = setInterval(() => show(new Map(newest)), SHOWN_EVERY_MS);
    return () => {
      clearInterval(showing);
      ended();
    };
  }, []);
  return ({ id }) => {
    const values = shown.get(id) ?? {};
    const words = UNITS.flatMap(([figure, unit]) => {
      const value = values[figure];
      return value === undefined ? [] : [`${plainNumber(value, 2)} ${unit}`.trim()];
    });
    return words.join(' · ') || '…';
  };
}
