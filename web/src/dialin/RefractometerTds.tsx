import { LIMITS } from '@olvet/core';
import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { useCommandDeviceMutation, useListDevicesQuery } from '../app/api';
import { stream } from '../live/stream';

/** A refractometer of this station, or a shared one: its next figure is the TDS of this shot, asked for here or at the device. */
export function RefractometerTds({ stationId, onTds }: { stationId: string; onTds: (tdsPercent: number) => void }) {
  const { data } = useListDevicesQuery({ state: 'in-use' });
  const [command, { isLoading }] = useCommandDeviceMutation();
  const here = data?.items.filter(
    ({ kind, isConnected, letInAt, stationId: place }) =>
      kind === 'refractometer' && isConnected && letInAt != null && (place == null || place === stationId),
  );
  const device = here?.find((each) => each.stationId === stationId) ?? here?.[0];
  const heard = useRef(onTds);
  useEffect(() => {
    heard.current = onTds;
  });
  const id = device?.id;
  useEffect(() => {
    if (!id) return;
    return stream.listen((event) => {
      if (event.kind !== 'reports' || event.deviceId !== id) return;
      const { min, max } = LIMITS.tdsPercent;
      const tds = event.reports.findLast(({ values }) => values?.tdsPercent !== undefined)?.values?.tdsPercent;
      if (tds !== undefined && tds >= min && tds <= max) heard.current(tds);
    });
  }, [id]);
  if (!device?.capabilities.includes('measure')) return null;
  return (
    <Button
      loading={isLoading}
      onClick={() => void command({ id: device.id, deviceCommandDto: { command: 'measure' } })}
    >
      Measure: {device.name}
    </Button>
  );
}
