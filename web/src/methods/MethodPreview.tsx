import { buildAdviceRequest, type Method, type MoveLine } from '@olvet/core';
import { Select } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { useGetSheetQuery, useListRunsQuery } from '../app/api';
import { Loading } from '../parts/Loading';
import { day } from '../parts/format';
import { inUnit, useTemperatureUnit } from '../parts/temperature';
import { historianHeart } from '../worker/heart';
import styles from './MethodPage.module.css';

/** What this method would have advised on a dial-in of the past, shot by shot, beside what was advised then. */
export function MethodPreview({ method }: { method: Method }) {
  const { data: runs } = useListRunsQuery({ pageSize: 20 });
  const unit = useTemperatureUnit();
  const [chosen, setChosen] = useState<string>();
  const past = (runs?.items ?? []).filter(({ status }) => status === 'kept');
  const run = past.find(({ id }) => id === chosen) ?? past[0];
  const { data: sheet } = useGetSheetQuery({ id: run?.id ?? '' }, { skip: !run });
  const asked = useMemo(() => (sheet ? buildAdviceRequest(sheet) : null), [sheet]);
  const under = useMemo(() => (asked ? underMethod(asked, method) : null), [asked, method]);
  const before = useReplay(asked);
  const after = useReplay(under);
  if (!run) return null;
  return (
    <section className={styles.preview} aria-labelledby="preview">
      <h2 id="preview">What it would have advised</h2>
      <div className={styles.pick}>
        <label htmlFor="preview-run">On the dial-in of</label>
        <Select
          id="preview-run"
          value={run.id}
          onChange={setChosen}
          popupMatchSelectWidth={false}
          options={past.map(({ id, coffeeName, startedAt }) => ({
            value: id,
            label: `${coffeeName}, ${day(startedAt)}`,
          }))}
        />
      </div>
      {before && after ? (
        <div className={styles.scroll}>
          <table className={styles.lines}>
            <thead>
              <tr>
                <th scope="col">After</th>
                <th scope="col">{run.methodName}, as it was</th>
                <th scope="col">{method.name}</th>
              </tr>
            </thead>
            <tbody>
              {after.map((line, n) => (
                <tr key={n}>
                  <th scope="row">{n === 0 ? 'the start' : `shot ${n}`}</th>
                  <td className="quiet">{inUnit(before[n]?.lead ?? '', unit)}</td>
                  <td>
                    {inUnit(line.lead, unit)} <span className="quiet">{inUnit(line.rest, unit)}</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : (
        <Loading />
      )}
      <p className="quiet small">The shots stay as they were poured; only the answers to them change.</p>
    </section>
  );
}

type Request = ReturnType<typeof buildAdviceRequest>;

/** The same question under another method: its window and clock come with it. */
function underMethod(request: Request, method: Method): Request {
  const target = { ...request.target, timeSeconds: method.windowSeconds, timer: method.timer };
  return { ...request, method, target };
}

function useReplay(request: Request | null): MoveLine[] | null {
  const [seen, setSeen] = useState<{ of: Request; lines: MoveLine[] } | null>(null);
  useEffect(() => {
    if (!request) return;
    let newest = true;
    void historianHeart()
      .replay(request)
      .then((lines) => newest && setSeen({ of: request, lines }));
    return () => {
      newest = false;
    };
  }, [request]);
  return request && seen?.of === request ? seen.lines : null;
}
